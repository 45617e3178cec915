// Answering by a step of a scale, and why.
import { LONGEST_REASON } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function ScaleAnswer({ given, labelledBy, describedBy, lang, onAnswer }: AnswerProps<'scale'>) {
  const { t, i18n } = useTranslation('sheets')
  const { steps } = given.question
  const { step: chosen, reason } = given.answer
  const former = chosen && !steps.some(({ id }) => id === chosen.id) ? [chosen] : []
  return (
    <>
      <fieldset className={styles.scale} aria-labelledby={labelledBy} aria-describedby={describedBy}>
        {[...steps, ...former].map((step) => (
          <label key={step.id} data-chosen={step.id === chosen?.id}>
            <input
              type="radio"
              name={labelledBy}
              checked={step.id === chosen?.id}
              onChange={() => onAnswer({ step, reason })}
            />
            <span>
              {textIn(step.label, i18n.language)}
              {former.includes(step) ? <small>{t('answer.former')}</small> : null}
            </span>
          </label>
        ))}
      </fieldset>
      <textarea
        className={styles.reason}
        rows={2}
        aria-label={t('answer.reason')}
        placeholder={t('answer.reason')}
        lang={lang}
        spellCheck
        maxLength={LONGEST_REASON}
        value={reason}
        onChange={(event) => onAnswer({ step: chosen, reason: event.target.value })}
      />
    </>
  )
}
