// The readiness line: one dash for each requirement, solid for there, stitched for missing. Words stand beside it.
import styles from './ReadinessDashes.module.css'

interface ReadinessDashesProps {
  readonly there: number
  readonly of: number
}

export function ReadinessDashes({ there, of }: ReadinessDashesProps) {
  return (
    <span className={styles.line} data-print="ink" aria-hidden="true">
      {Array.from({ length: of }, (_, n) => (
        <i key={n} data-there={n < there} />
      ))}
    </span>
  )
}
