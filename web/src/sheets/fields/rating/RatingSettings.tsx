// Which attribute a question asks about: what it means and its steps come with it.
import Button from '@mui/material/Button'
import { ratingQuestion } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { useUsableSets } from '../../../attributes/index.ts'
import { SelectField } from '../../../ui/SelectField.tsx'
import type { SettingsProps } from '../FieldUi.ts'
import { WordsSettings } from '../WordsSettings.tsx'

export function RatingSettings({ question, onChange }: SettingsProps<'rating'>) {
  const { t, i18n } = useTranslation('sheets')
  const sets = useUsableSets()
  if (sets === undefined) return null
  const { attribute, id, weight, asks } = question
  const choices = sets.flatMap((set) =>
    set.content.attributes.map(({ id: attributeId, name }) => {
      const names = { name: textIn(name, i18n.language), set: textIn(set.content.title, i18n.language) }
      return [keyOf(set.id, attributeId), t('build.attributeOf', names)] as const
    }),
  )
  const value = attribute ? keyOf(attribute.setId, attribute.id) : ''
  const isOffered = choices.some(([key]) => key === value)
  const take = (key: string) => {
    const [setId = '', attributeId = ''] = key.split('/')
    const set = sets.find((one) => one.id === setId)
    const asked = set && ratingQuestion(set, attributeId, id)
    if (asked) onChange({ ...asked, weight })
  }
  const isNewer = sets.some((set) => set.id === attribute?.setId && set.n !== attribute.n)
  if (choices.length === 0 && attribute === null) return <p>{t('build.noSets')}</p>
  return (
    <>
      <SelectField
        label={t('build.attribute')}
        value={value}
        choices={[
          ...(attribute === null ? [['', t('build.attributeNone')] as const] : []),
          ...(attribute && !isOffered ? [[value, textIn(asks, i18n.language)] as const] : []),
          ...choices,
        ]}
        onChange={take}
      />
      {isNewer && isOffered ? (
        <Button variant="text" onClick={() => take(value)}>
          {t('build.isNewer')}
        </Button>
      ) : null}
      <WordsSettings question={question} onChange={({ words }) => onChange({ ...question, words })} />
    </>
  )
}

function keyOf(setId: string, attributeId: string): string {
  return `${setId}/${attributeId}`
}
