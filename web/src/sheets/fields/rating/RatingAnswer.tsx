// Rating oneself: a step of the attribute, why, and the evidence that shows it.
import { LONGEST_REASON } from '@valise/core/pages'
import type { ChosenStep } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { RatingSteps } from '../../../attributes/index.ts'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function RatingAnswer(props: AnswerProps<'rating'>) {
  const { given, label, labelledBy, describedBy, lang, beside, onAnswer } = props
  const { t } = useTranslation('sheets')
  const { steps } = given.question
  const { step: chosen, reason } = given.answer
  const choose = (id: string) => {
    const at = steps.findIndex((step) => step.id === id)
    const step = steps[at]
    if (step) onAnswer({ step: { id, label: step.label, place: at + 1, of: steps.length }, reason })
  }
  return (
    <>
      <RatingSteps
        steps={steps}
        chosenId={chosen?.id ?? null}
        labelledBy={labelledBy}
        describedBy={describedBy}
        onChoose={({ id }) => choose(id)}
      />
      {chosen ? <Chosen step={chosen} isOffered={steps.some(({ id }) => id === chosen.id)} /> : null}
      <textarea
        className={styles.reason}
        rows={3}
        aria-label={t('answer.reasonFor', { label })}
        placeholder={t('answer.ratingReason')}
        lang={lang}
        spellCheck
        maxLength={LONGEST_REASON}
        value={reason}
        onChange={(event) => onAnswer({ step: chosen, reason: event.target.value })}
      />
      {beside}
    </>
  )
}

interface ChosenProps {
  readonly step: ChosenStep
  readonly isOffered: boolean
}

/** What a later change does, and a step that the scale no longer has. */
function Chosen({ step, isOffered }: ChosenProps) {
  const { t, i18n } = useTranslation('sheets')
  const { label, place, of } = step
  const former = t('answer.stepOf', { label: textIn(label, i18n.language), place, of })
  return (
    <p className={styles.hint}>
      {isOffered ? null : `${former}. ${t('answer.former')} `}
      {t('answer.change')}
    </p>
  )
}
