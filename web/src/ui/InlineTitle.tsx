// A title that is written where it stands, as a heading would.
import { useEffect, useRef } from 'react'
import styles from './InlineTitle.module.css'

interface InlineTitleProps {
  readonly label: string
  readonly placeholder?: string
  readonly value: string
  readonly most: number
  /** Whether one begins to write in it as soon as it is there. */
  readonly isFocused?: boolean
  readonly onChange: (title: string) => void
  readonly onFocus?: () => void
  readonly onBlur?: () => void
}

/** Takes the font of the heading around it, and grows with its text. */
export function InlineTitle({ label, most, isFocused = false, onChange, ...field }: InlineTitleProps) {
  const element = useRef<HTMLTextAreaElement>(null)
  useEffect(() => {
    if (isFocused) element.current?.focus()
  }, [isFocused])
  return (
    <textarea
      ref={element}
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
