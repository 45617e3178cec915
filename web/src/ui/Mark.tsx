// The mark: a small case with a stitched V.
import styles from './Mark.module.css'

export function Mark() {
  return (
    <span className={styles.mark}>
      <svg viewBox="0 0 34 32" aria-hidden="true">
        <path
          d="M12 9V6.2A3.2 3.2 0 0115.2 3h3.6A3.2 3.2 0 0122 6.2V9"
          fill="none"
          stroke="var(--tan)"
          strokeWidth="2.6"
          strokeLinecap="round"
        />
        <rect x="2" y="8.6" width="30" height="20.4" rx="4.6" fill="var(--petrol)" />
        <path
          d="M6.5 12.4 17 25.2 27.5 12.4"
          fill="none"
          stroke="var(--vee)"
          strokeWidth="2"
          strokeDasharray="3.3 2.2"
          strokeLinecap="round"
        />
      </svg>
      <b>Valise</b>
    </span>
  )
}
