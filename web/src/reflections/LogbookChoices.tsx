// One's logbooks to choose one from, each as one recognises it.
import type { LogbookRow } from '@valise/core/reflections'
import { LogbookCover } from './LogbookCover.tsx'
import styles from './Reflections.module.css'

interface LogbookChoicesProps {
  readonly logbooks: readonly LogbookRow[]
  readonly isDisabled?: boolean
  /** How many entries one has, in the words of the screen. */
  readonly countInWords: (entries: number) => string
  readonly onChoose: (logbookId: string) => void
}

export function LogbookChoices({
  logbooks,
  isDisabled = false,
  countInWords,
  onChoose,
}: LogbookChoicesProps) {
  return (
    <ul className={styles.logbookChoices}>
      {logbooks.map((logbook) => (
        <li key={logbook.id}>
          <button type="button" disabled={isDisabled} onClick={() => onChoose(logbook.id)}>
            <LogbookCover logbook={logbook} />
            <b>{logbook.title}</b>
            <small>{countInWords(logbook.entries)}</small>
          </button>
        </li>
      ))}
    </ul>
  )
}
