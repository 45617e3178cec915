// How the copies of a guide are read, in the words that students see before they start; and when it is due.
import FormControlLabel from '@mui/material/FormControlLabel'
import Radio from '@mui/material/Radio'
import RadioGroup from '@mui/material/RadioGroup'
import { guideReadings } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { DayField } from '../ui/DayField.tsx'
import styles from './Guides.module.css'

interface GuideReadingFieldProps {
  readonly content: GuideContent
  readonly onChange: (change: Partial<GuideContent>) => void
}

export function GuideReadingField({ content, onChange }: GuideReadingFieldProps) {
  const { t } = useTranslation('guides')
  const id = useId()
  return (
    <section className={styles.readingField}>
      <h2 id={id}>{t('build.reading')}</h2>
      <RadioGroup
        aria-labelledby={id}
        value={content.reading}
        onChange={(event) =>
          onChange({ reading: guideReadings.find((one) => one === event.target.value) ?? 'followed' })
        }
      >
        {guideReadings.map((reading) => (
          <FormControlLabel
            key={reading}
            value={reading}
            control={<Radio />}
            label={
              <>
                <b>{t(`build.readings.${reading}`)}</b>
                <small>{t(`build.readingHints.${reading}`)}</small>
              </>
            }
          />
        ))}
      </RadioGroup>
      <DayField
        hasTime
        label={t(content.reading === 'sealed' ? 'build.dueSealed' : 'build.due')}
        value={content.dueLocal ?? ''}
        onChange={(dueLocal) => onChange({ dueLocal: dueLocal || null })}
      />
    </section>
  )
}
