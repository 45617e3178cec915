// What there is to choose from, and whether more than one may be chosen.
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { MOST_OPTIONS } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import type { SettingsProps } from '../FieldUi.ts'
import { OptionList } from '../OptionList.tsx'

export function ChoiceSettings({ question, languages, onChange }: SettingsProps<'choice'>) {
  const { t } = useTranslation('sheets')
  return (
    <>
      <OptionList
        legend={t('build.options')}
        options={question.options}
        most={MOST_OPTIONS}
        languages={languages}
        onChange={(options) => onChange({ ...question, options })}
      />
      <FormControlLabel
        control={
          <Checkbox
            checked={question.several}
            onChange={(event) => onChange({ ...question, several: event.target.checked })}
          />
        }
        label={t('build.several')}
      />
    </>
  )
}
