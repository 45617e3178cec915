// Answering by a day.
import { useTranslation } from 'react-i18next'
import { DayField } from '../../../ui/DayField.tsx'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function DateAnswer({ given, onAnswer }: AnswerProps<'date'>) {
  const { t } = useTranslation('sheets')
  return (
    <div className={styles.day}>
      <DayField
        label={t('answer.day')}
        value={given.answer.day ?? ''}
        onChange={(day) => onAnswer({ day: day === '' ? null : day })}
      />
    </div>
  )
}
