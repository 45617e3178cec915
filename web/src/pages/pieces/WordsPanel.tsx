// A panel under the bar with one field of words, which Escape closes again.
import type { ReactNode } from 'react'
import styles from '../PieceBar.module.css'

interface WordsPanelProps {
  readonly label: string
  readonly value: string
  readonly most: number
  readonly isDisabled?: boolean
  readonly onChange: (text: string) => void
  readonly onClose: () => void
  readonly children?: ReactNode
}

export function WordsPanel({
  label,
  value,
  most,
  isDisabled = false,
  onChange,
  onClose,
  children,
}: WordsPanelProps) {
  return (
    <div className={styles.words}>
      <label>
        {label}
        <textarea
          autoFocus
          rows={2}
          maxLength={most}
          value={value}
          disabled={isDisabled}
          onChange={(event) => onChange(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            // It closes these words, and not the piece as well.
            event.stopPropagation()
            onClose()
          }}
        />
      </label>
      {children}
    </div>
  )
}
