// In which language a page, an entry or one text is written: it is read aloud, hyphenated and checked in that one.
import { textLanguages } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { localeOf } from '../ui/localeOf.ts'
import { SelectField } from '../ui/SelectField.tsx'

export type TextLanguage = PageDocument['lang']

/** Returns each language by its name in the language of the interface. */
export function useLanguageChoices(): readonly (readonly [TextLanguage, string])[] {
  const { i18n } = useTranslation()
  const locale = localeOf(i18n.language)
  const names = new Intl.DisplayNames(locale, { type: 'language' })
  const capital = (name: string) => name.charAt(0).toLocaleUpperCase(locale) + name.slice(1)
  return textLanguages.map((lang) => [lang, capital(names.of(lang) ?? lang)])
}

interface LanguageFieldProps {
  readonly label: string
  readonly value: TextLanguage
  readonly onChange: (lang: TextLanguage) => void
}

export function LanguageField({ label, value, onChange }: LanguageFieldProps) {
  const choices = useLanguageChoices()
  return (
    <SelectField
      label={label}
      value={value}
      choices={choices}
      fullWidth
      onChange={(chosen) => {
        const lang = textLanguages.find((one) => one === chosen)
        if (lang) onChange(lang)
      }}
    />
  )
}
