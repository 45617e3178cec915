// Answering in a line.
import { LONGEST_SHORT_ANSWER } from '@valise/core/pages'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function ShortAnswer({ given, labelledBy, describedBy, lang, onAnswer }: AnswerProps<'short'>) {
  return (
    <input
      className={styles.line}
      aria-labelledby={labelledBy}
      aria-describedby={describedBy}
      lang={lang}
      spellCheck
      maxLength={LONGEST_SHORT_ANSWER}
      value={given.answer.text}
      onChange={(event) => onAnswer({ text: event.target.value })}
    />
  )
}
