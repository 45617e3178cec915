// What is written of one attribute: its name, what it means, and what each step of it looks like.
import { LONGEST_ATTRIBUTE_NAME, LONGEST_LOOKS, LONGEST_MEANING } from '@valise/core/attributes'
import type { Attribute, AttributeSetContent } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { LocalizedField } from '../offers/index.ts'

interface AttributeSettingsProps {
  readonly attribute: Attribute
  readonly steps: AttributeSetContent['steps']
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (attribute: Attribute) => void
}

export function AttributeSettings({ attribute, steps, languages, onChange }: AttributeSettingsProps) {
  const { t, i18n } = useTranslation('attributes')
  const { name, meaning, looks } = attribute
  return (
    <>
      <LocalizedField
        label={t('build.name')}
        most={LONGEST_ATTRIBUTE_NAME}
        languages={languages}
        isFocused={Object.keys(name).length === 0}
        value={name}
        onChange={(next) => onChange({ ...attribute, name: next })}
      />
      <LocalizedField
        label={t('build.meaning')}
        most={LONGEST_MEANING}
        languages={languages}
        isLong
        value={meaning}
        onChange={(next) => onChange({ ...attribute, meaning: next })}
      />
      {steps.map(({ id, label }, n) => (
        <LocalizedField
          key={id}
          label={t('build.looks', { step: textIn(label, i18n.language) || t('build.step', { n: n + 1 }) })}
          most={LONGEST_LOOKS}
          languages={languages}
          isLong
          value={looks[id] ?? {}}
          onChange={(next) => onChange({ ...attribute, looks: { ...looks, [id]: next } })}
        />
      ))}
    </>
  )
}
