// A clause of the search sentence that one press removes.
import { IconX } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import styles from './QuerySentence.module.css'

interface RemovableClauseProps {
  readonly label: string
  readonly onRemove: () => void
  readonly children: ReactNode
}

export function RemovableClause({ label, onRemove, children }: RemovableClauseProps) {
  return (
    <button type="button" className={styles.chip} aria-label={label} onClick={onRemove}>
      {children}
      <IconX size={16} stroke={1.7} aria-hidden="true" />
    </button>
  )
}
