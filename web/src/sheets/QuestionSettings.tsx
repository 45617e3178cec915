// All that can be set of a question while its sheet is written.
import { LONGEST_ASKED, LONGEST_HINT } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { LocalizedField } from '../offers/index.ts'
import { SelectField } from '../ui/SelectField.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'

interface QuestionSettingsProps {
  readonly question: Question
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (question: Question) => void
}

export function QuestionSettings({ question, languages, onChange }: QuestionSettingsProps) {
  const { t } = useTranslation('sheets')
  const { Settings, isAskedElsewhere = false } = fieldUiOf<FieldKind>(question)
  const OfKind = Settings ? (
    <Settings
      question={question}
      languages={languages}
      // The settings of a kind give back a question of that kind, which the compiler does not follow.
      onChange={(next) => onChange(next as Question)}
    />
  ) : null
  return (
    <>
      {isAskedElsewhere ? (
        OfKind
      ) : (
        <>
          <LocalizedField
            label={t('build.asks')}
            most={LONGEST_ASKED}
            languages={languages}
            isFocused={Object.keys(question.asks).length === 0}
            value={question.asks}
            onChange={(asks) => onChange({ ...question, asks })}
          />
          <LocalizedField
            label={t('build.hint')}
            most={LONGEST_HINT}
            languages={languages}
            isLong
            value={question.hint}
            onChange={(hint) => onChange({ ...question, hint })}
          />
        </>
      )}
      <SelectField
        label={t('build.weight')}
        value={question.weight}
        choices={[
          ['must', t('weight.must')],
          ['should', t('weight.should')],
        ]}
        onChange={(weight) => onChange({ ...question, weight: weight === 'must' ? 'must' : 'should' })}
        sx={{ width: 220 }}
      />
      {isAskedElsewhere ? null : OfKind}
    </>
  )
}
