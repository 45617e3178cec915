// Two or three choices side by side, of which one holds.
import type { ReactNode } from 'react'
import styles from './ChoiceBar.module.css'

interface ChoiceBarProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly choices: readonly (readonly [value: T, words: ReactNode])[]
  readonly onChange: (value: T) => void
  /** A choice that cannot be taken now; what stands in the way is said beside the bar. */
  readonly barred?: T | null
}

export function ChoiceBar<T extends string>(props: ChoiceBarProps<T>) {
  const { label, value, choices, onChange, barred = null } = props
  return (
    <fieldset className={styles.bar}>
      <legend className="only-heard">{label}</legend>
      {choices.map(([choice, words]) => (
        <label
          key={choice}
          className={styles.choice}
          data-on={choice === value}
          data-barred={choice === barred}
        >
          <input
            type="radio"
            name={label}
            checked={choice === value}
            disabled={choice === barred}
            onChange={() => onChange(choice)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  )
}
