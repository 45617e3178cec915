// The plot of growth. What it shows stands in a table as well, which is how it is read without a pointer.
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { drawGrowth } from './drawGrowth.ts'
import type { GrowthWish } from './drawGrowth.ts'
import styles from './Ratings.module.css'

export function GrowthPlot({ wish }: { readonly wish: GrowthWish }) {
  const { t } = useTranslation('ratings')
  const plot = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const { current } = plot
    return current ? drawGrowth(current, wish) : undefined
  }, [wish])
  return <div ref={plot} className={styles.plot} role="img" aria-label={t('plot')} data-print="off" />
}
