// The steps of a scale, the lowest first, and how much is to be said about the chosen one.
import { MOST_SCALE_STEPS } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import type { SettingsProps } from '../FieldUi.ts'
import { OptionList } from '../OptionList.tsx'
import { WordsSettings } from '../WordsSettings.tsx'

export function ScaleSettings({ question, languages, onChange }: SettingsProps<'scale'>) {
  const { t } = useTranslation('sheets')
  return (
    <>
      <OptionList
        legend={t('build.steps')}
        options={question.steps}
        most={MOST_SCALE_STEPS}
        languages={languages}
        onChange={(steps) => onChange({ ...question, steps })}
      />
      <WordsSettings question={question} onChange={({ words }) => onChange({ ...question, words })} />
    </>
  )
}
