// Answering step after step: a line for each, and always an empty one at the end.
import { LONGEST_SHORT_ANSWER, MOST_STEPS } from '@valise/core/pages'
import { useRef } from 'react'
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function StepsAnswer({ given, labelledBy, describedBy, lang, onAnswer }: AnswerProps<'steps'>) {
  const { t } = useTranslation('sheets')
  const list = useRef<HTMLOListElement>(null)
  const { steps } = given.answer
  const lines = [...steps, ...(steps.length < MOST_STEPS ? [''] : [])]
  const focus = (n: number) =>
    setTimeout(() => list.current?.querySelectorAll('input')[Math.max(0, n)]?.focus())
  const write = (n: number, text: string) =>
    onAnswer({ steps: withoutEnd(lines.map((line, at) => (at === n ? text : line))) })
  const onKeyDown = (n: number) => (event: KeyboardEvent) => {
    if (event.key === 'Enter' && n + 1 < MOST_STEPS) {
      event.preventDefault()
      if (lines[n + 1] !== '' && lines[n] !== '' && lines.length <= MOST_STEPS)
        onAnswer({ steps: withoutEnd([...lines.slice(0, n + 1), '', ...lines.slice(n + 1)]) })
      focus(n + 1)
    }
    if (event.key === 'Backspace' && lines[n] === '' && n > 0) {
      event.preventDefault()
      onAnswer({ steps: withoutEnd(lines.filter((_, at) => at !== n)) })
      focus(n - 1)
    }
  }
  return (
    <ol ref={list} className={styles.steps} aria-labelledby={labelledBy}>
      {lines.map((line, n) => (
        // A step is its place in the list.
        <li key={n}>
          <input
            className={styles.line}
            aria-label={t('answer.step', { n: n + 1 })}
            aria-describedby={describedBy}
            lang={lang}
            spellCheck
            maxLength={LONGEST_SHORT_ANSWER}
            value={line}
            onChange={(event) => write(n, event.target.value)}
            onKeyDown={onKeyDown(n)}
          />
        </li>
      ))}
    </ol>
  )
}

function withoutEnd(lines: readonly string[]): string[] {
  const last = lines.findLastIndex((line) => line !== '')
  return lines.slice(0, last + 1)
}
