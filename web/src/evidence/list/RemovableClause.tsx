// A clause of the search sentence that one press removes.
import { IconX } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import styles from './QuerySentence.module.css'

interface RemovableClauseProps {
  readonly label: string
  /** The punctuation after it. */
  readonly end: string
  readonly onRemove: () => void
  readonly children: ReactNode
}

export function RemovableClause({ label, end, onRemove, children }: RemovableClauseProps) {
  return (
    <span className={styles.joined}>
      <button type="button" className={styles.chip} aria-label={label} onClick={onRemove}>
        {children}
        <IconX size={16} stroke={1.7} aria-hidden="true" />
      </button>
      {end}
    </span>
  )
}
