// One question and its answer: named, explained, with what is still missing at its edge.
import { textIn } from '@valise/core/people'
import type { AnswerOf, AnswerPiece, FieldKind, PageDocument } from '@valise/core/pages'
import type { AnswerInEntry } from '@valise/core/reflections'
import { memo, useId } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Heading } from './AnswerColumn.tsx'
import type { Writing } from './fields/FieldUi.ts'
import { fieldUiOf } from './fields/uiByKind.ts'
import { useProgressWords } from './useProgressWords.ts'
import styles from './Answers.module.css'

interface AnswerFieldProps {
  readonly answer: AnswerInEntry
  readonly heading: Heading
  readonly lang: PageDocument['lang']
  readonly place: string
  readonly writing: Writing
  readonly beside: ReactNode
  readonly onPiece: (piece: AnswerPiece) => void
}

/** Independent of the other answers, so that typing in one renders none of them. */
export const AnswerField = memo(function AnswerField(props: AnswerFieldProps) {
  const { answer, heading: Heading, lang, place, writing, beside, onPiece } = props
  const { t, i18n } = useTranslation('sheets')
  const toWords = useProgressWords()
  const id = useId()
  const { piece, progress } = answer
  const { asks, hint, weight } = piece.given.question
  const { Answer } = fieldUiOf<FieldKind>(piece.given)
  const label = textIn(asks, i18n.language) || t('answer.unnamed')
  const explained = textIn(hint, i18n.language)
  const onAnswer = (next: AnswerOf<FieldKind>) =>
    // The answer is of the kind of the question, which the compiler does not follow.
    onPiece({ ...piece, given: { ...piece.given, answer: next } } as AnswerPiece)
  return (
    <section className={styles.question} data-weight={weight} data-state={progress.state}>
      <Heading id={`${id}-asks`}>{label}</Heading>
      <p className={styles.weight}>{t(`weight.${weight}`)}</p>
      {explained ? <p className={styles.hint}>{explained}</p> : null}
      <Answer
        given={piece.given}
        label={label}
        labelledBy={`${id}-asks`}
        describedBy={`${id}-progress`}
        lang={lang}
        place={`${place}#${piece.id}`}
        writing={writing}
        beside={beside}
        onAnswer={onAnswer}
      />
      <p id={`${id}-progress`} className={styles.progress}>
        {toWords(progress)}
      </p>
    </section>
  )
})
