// The language of the signed-out screens, stored on this device.
import { languages } from '@valise/core/people'
import type { Language } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { speak } from '../words/i18n.ts'

export function LanguageSwitch() {
  const { t, i18n } = useTranslation('people')
  const choices = languages.map((language) => [language, t(`languages.${language}`)] as const)
  const value: Language = i18n.language === 'es' ? 'es' : 'en'
  return (
    <ChoiceBar
      label={t('signIn.language')}
      value={value}
      choices={choices}
      onChange={(next) => void speak(next)}
    />
  )
}
