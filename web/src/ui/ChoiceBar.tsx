// Two or three choices side by side, of which one holds.
import styles from './ChoiceBar.module.css'

interface ChoiceBarProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly choices: readonly (readonly [value: T, words: string])[]
  readonly onChange: (value: T) => void
}

export function ChoiceBar<T extends string>({ label, value, choices, onChange }: ChoiceBarProps<T>) {
  return (
    <fieldset className={styles.bar}>
      <legend className="only-heard">{label}</legend>
      {choices.map(([choice, words]) => (
        <label key={choice} className={styles.choice} data-on={choice === value}>
          <input type="radio" name={label} checked={choice === value} onChange={() => onChange(choice)} />
          {words}
        </label>
      ))}
    </fieldset>
  )
}
