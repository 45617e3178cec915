// How many pixels are how light: dark on the left, light on the right.
import { useTranslation } from 'react-i18next'
import styles from './Bench.module.css'

const HEIGHT = 100

export function HistogramPlot({ grey }: { readonly grey: Uint32Array }) {
  const { t } = useTranslation('bench')
  const total = grey.reduce((sum, count) => sum + count, 0) || 1
  // White paper would press everything else to the ground: the square root shows both.
  const heights = Array.from(grey, (count) => Math.sqrt(count / total))
  // A few values with nearly all of the points may stick out of the plot: the others are what is looked at.
  const most = [...heights].sort((a, b) => b - a)[4] || 1
  const line = heights
    .map((height, value) => `${value},${Math.max(0, HEIGHT - (height / most) * HEIGHT)}`)
    .join(' ')
  const share = (from: number, to: number) =>
    Math.round((100 * grey.slice(from, to).reduce((sum, count) => sum + count, 0)) / total)
  const words = t('light.histogram', { dark: share(0, 85), middle: share(85, 171), light: share(171, 256) })
  return (
    <svg
      className={styles.histogram}
      viewBox={`0 0 255 ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={words}
    >
      <polygon points={`0,${HEIGHT} ${line} 255,${HEIGHT}`} />
    </svg>
  )
}
