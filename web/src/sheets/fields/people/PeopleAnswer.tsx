// Answering by names: a line for each, and always an empty one at the end.
import { LONGEST_NAME_GIVEN, MOST_NAMES_GIVEN } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function PeopleAnswer({ given, labelledBy, describedBy, onAnswer }: AnswerProps<'people'>) {
  const { t } = useTranslation('sheets')
  const { names } = given.answer
  const lines = names.length < MOST_NAMES_GIVEN ? [...names, ''] : names
  const write = (n: number, name: string) => {
    const next = lines.map((line, at) => (at === n ? name : line))
    onAnswer({ names: next.slice(0, next.findLastIndex((line) => line !== '') + 1) })
  }
  return (
    <ul className={styles.names} aria-labelledby={labelledBy}>
      {lines.map((name, n) => (
        // A name is its place in the list.
        <li key={n}>
          <input
            className={styles.line}
            aria-label={t('answer.name', { n: n + 1 })}
            aria-describedby={describedBy}
            maxLength={LONGEST_NAME_GIVEN}
            value={name}
            onChange={(event) => write(n, event.target.value)}
          />
        </li>
      ))}
    </ul>
  )
}
