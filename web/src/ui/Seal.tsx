// The seal: a drawing with sixteen lobes, solid once something is sealed, stitched and hollow before.
import { useId } from 'react'
import styles from './Seal.module.css'

const LOBES = 16
const POINTS = Array.from({ length: LOBES }, (_, n) => (n / LOBES) * 2 * Math.PI)

function at(angle: number, radius: number): string {
  return `${(50 + radius * Math.cos(angle)).toFixed(1)} ${(50 + radius * Math.sin(angle)).toFixed(1)}`
}

/** Out from each valley over the lobe to the next one. */
const outline = `M${at(0, 44)}${POINTS.map(
  (angle) => `Q${at(angle + Math.PI / LOBES, 51.5)} ${at(angle + (2 * Math.PI) / LOBES, 44)}`,
).join('')}z`

interface SealProps {
  readonly size: number
  readonly label: string
  readonly isSealed: boolean
  /** Words that go round a large seal. */
  readonly round?: string
}

export function Seal({ size, label, isSealed, round }: SealProps) {
  const circle = useId()
  return (
    <svg
      className={styles.seal}
      data-sealed={isSealed}
      width={size}
      height={size}
      viewBox="0 0 100 100"
      role="img"
      aria-label={label}
    >
      <path className={styles.outline} d={outline} />
      <circle className={styles.ring} cx="50" cy="50" r={round === undefined ? 35 : 29} />
      {round === undefined ? null : (
        <>
          <path id={circle} d="M50 50m-33.5 0a33.5 33.5 0 1167 0a33.5 33.5 0 11-67 0" fill="none" />
          <text className={styles.round}>
            <textPath href={`#${circle}`} textLength="206">
              {round}
            </textPath>
          </text>
        </>
      )}
      <text className={styles.letter} x="50" y="61" textAnchor="middle">
        V
      </text>
    </svg>
  )
}
