// What every offered thing begins with: its title, what it is for, and whether it is in both languages.
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { LONGEST_OFFERED_ABOUT, LONGEST_OFFERED_TITLE } from '@valise/core/offers'
import type { OfferedContent } from '@valise/core/offers'
import { useTranslation } from 'react-i18next'
import { LocalizedField } from './LocalizedField.tsx'
import type { useLanguages } from './useLanguages.ts'
import styles from './Offers.module.css'

interface OfferedHeadProps {
  readonly content: OfferedContent
  readonly spoken: ReturnType<typeof useLanguages>
  readonly onChange: (change: Partial<OfferedContent>) => void
}

export function OfferedHead({ content, spoken, onChange }: OfferedHeadProps) {
  const { t } = useTranslation('offers')
  const { languages, isBoth, setIsBoth } = spoken
  return (
    <div className={styles.about}>
      <LocalizedField
        label={t('head.title')}
        most={LONGEST_OFFERED_TITLE}
        languages={languages}
        value={content.title}
        onChange={(title) => onChange({ title })}
      />
      <LocalizedField
        label={t('head.about')}
        most={LONGEST_OFFERED_ABOUT}
        languages={languages}
        isLong
        value={content.about}
        onChange={(about) => onChange({ about })}
      />
      <FormControlLabel
        control={<Checkbox checked={isBoth} onChange={(event) => setIsBoth(event.target.checked)} />}
        label={t('head.both')}
      />
    </div>
  )
}
