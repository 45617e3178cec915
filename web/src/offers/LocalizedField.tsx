// A text in one or several languages, side by side.
import TextField from '@mui/material/TextField'
import type { Localized } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import styles from './Offers.module.css'

interface LocalizedFieldProps {
  readonly label: string
  readonly value: Localized
  readonly most: number
  readonly languages: readonly ('en' | 'es')[]
  readonly isLong?: boolean
  readonly isFocused?: boolean
  readonly onChange: (value: Localized) => void
}

export function LocalizedField({
  label,
  value,
  most,
  languages,
  isLong = false,
  isFocused = false,
  onChange,
}: LocalizedFieldProps) {
  const { t } = useTranslation('app')
  const write = (language: 'en' | 'es', text: string) => {
    const { [language]: _, ...others } = value
    onChange(text === '' ? others : { ...others, [language]: text })
  }
  return (
    <div className={styles.localized}>
      {languages.map((language, n) => (
        <TextField
          key={language}
          label={
            languages.length > 1 ? t('languages.in', { label, language: t(`languages.${language}`) }) : label
          }
          size="small"
          fullWidth
          multiline={isLong}
          autoFocus={isFocused && n === 0}
          value={value[language] ?? ''}
          onChange={(event) => write(language, event.target.value)}
          slotProps={{ htmlInput: { maxLength: most, lang: language, spellCheck: true } }}
        />
      ))}
    </div>
  )
}
