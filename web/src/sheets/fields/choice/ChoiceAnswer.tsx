// Answering by choosing one, or several.
import type { Option } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function ChoiceAnswer({ given, labelledBy, describedBy, onAnswer }: AnswerProps<'choice'>) {
  const { t, i18n } = useTranslation('sheets')
  const { options, several } = given.question
  const { chosen } = given.answer
  const isChosen = (option: Option) => chosen.some(({ id }) => id === option.id)
  // What was chosen stays, although the sheet offers it no more.
  const former = chosen.filter(({ id }) => !options.some((option) => option.id === id))
  const toggle = (option: Option) => {
    if (isChosen(option)) onAnswer({ chosen: chosen.filter(({ id }) => id !== option.id) })
    else onAnswer({ chosen: several ? [...chosen, option] : [option] })
  }
  return (
    <fieldset className={styles.options} aria-labelledby={labelledBy} aria-describedby={describedBy}>
      {[...options, ...former].map((option) => (
        <label key={option.id} data-chosen={isChosen(option)}>
          <input
            type={several ? 'checkbox' : 'radio'}
            name={labelledBy}
            checked={isChosen(option)}
            onChange={() => toggle(option)}
          />
          <span>
            {textIn(option.label, i18n.language)}
            {former.includes(option) ? <small>{t('answer.former')}</small> : null}
          </span>
        </label>
      ))}
      {!several && chosen.length > 0 ? (
        <button type="button" onClick={() => onAnswer({ chosen: [] })}>
          {t('answer.clear')}
        </button>
      ) : null}
    </fieldset>
  )
}
