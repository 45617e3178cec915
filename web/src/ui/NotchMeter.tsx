// The notch meter: a notch that stands as high as the level it means. Words always stand beside it.
import styles from './NotchMeter.module.css'

interface NotchMeterProps {
  /** From 1, the lowest; null is not judged yet. */
  readonly position: number | null
  readonly of: number
}

const LOWEST = 6
const HIGHEST = 24

/** Heights divide 6 to 24 evenly, whatever the scale. */
function heightOf(position: number, of: number): number {
  return of < 2 ? HIGHEST : Math.round(LOWEST + ((position - 1) / (of - 1)) * (HIGHEST - LOWEST))
}

export function NotchMeter({ position, of }: NotchMeterProps) {
  return (
    <span className={styles.meter} data-empty={position === null} data-print="ink" aria-hidden="true">
      {position === null ? null : <i style={{ height: heightOf(position, of) }} className={styles.notch} />}
    </span>
  )
}
