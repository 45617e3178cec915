// The questions of a document in one calm column, each answered where it stands.
import type { AnswerPiece, PageDocument } from '@valise/core/pages'
import type { AnswerInEntry } from '@valise/core/reflections'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { AnswerField } from './AnswerField.tsx'
import type { Writing } from './fields/FieldUi.ts'
import styles from './Answers.module.css'

/** Of a question: one below what stands over the column. */
export type Heading = 'h2' | 'h3' | 'h4'

interface AnswerColumnProps {
  readonly answers: readonly AnswerInEntry[]
  readonly heading: Heading
  readonly lang: PageDocument['lang']
  /** The address of the document, under which texts wait that cannot be saved. */
  readonly place: string
  readonly writing: Writing
  /** What stands beside a question, and how more is put there; null for a question that takes nothing. */
  readonly beside: (answer: AnswerInEntry) => ReactNode
  /** Must stay the same function, so that typing in one answer renders no other. */
  readonly onPiece: (piece: AnswerPiece) => void
}

export function AnswerColumn({ answers, heading, lang, place, writing, beside, onPiece }: AnswerColumnProps) {
  return (
    <div className={styles.column}>
      <Answered answers={answers} />
      {answers.map((answer) => (
        <AnswerField
          key={answer.piece.id}
          answer={answer}
          heading={heading}
          lang={lang}
          place={place}
          writing={writing}
          beside={beside(answer)}
          onPiece={onPiece}
        />
      ))}
    </div>
  )
}

/** How many are answered, and how many that are required are not. */
export function Answered({ answers }: Pick<AnswerColumnProps, 'answers'>) {
  const { t } = useTranslation('sheets')
  const answered = answers.filter(({ progress }) => progress.state !== 'blank').length
  const open = answers.filter(
    ({ piece, progress }) => piece.given.question.weight === 'must' && progress.state !== 'there',
  ).length
  if (answers.length === 0) return null
  return (
    <p className={styles.answered} role="status">
      <span className={styles.dashes} aria-hidden="true">
        {answers.slice(0, 40).map(({ piece, progress }) => (
          <i key={piece.id} data-there={progress.state === 'there'} />
        ))}
      </span>
      {t('progress.answered', { answered, count: answers.length })}
      {open > 0 ? <b>{t('progress.open', { count: open })}</b> : null}
    </p>
  )
}
