// A title that is written where it stands, as a heading would.
import styles from './InlineTitle.module.css'

interface InlineTitleProps {
  readonly label: string
  readonly placeholder?: string
  readonly value: string
  readonly most: number
  readonly onChange: (title: string) => void
  readonly onFocus?: () => void
  readonly onBlur?: () => void
}

/** It takes the type of the heading around it, and grows with what is written. */
export function InlineTitle({ label, most, onChange, ...field }: InlineTitleProps) {
  return (
    <textarea
      className={styles.title}
      rows={1}
      maxLength={most}
      aria-label={label}
      {...field}
      onChange={(event) => onChange(event.target.value.replaceAll('\n', ' '))}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.preventDefault()
      }}
    />
  )
}
