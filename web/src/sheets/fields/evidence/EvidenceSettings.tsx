// Which evidence is asked for, and how many things.
import FormControlLabel from '@mui/material/FormControlLabel'
import Checkbox from '@mui/material/Checkbox'
import { evidenceKinds } from '@valise/core/evidence'
import type { EvidenceKind } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import type { SettingsProps } from '../FieldUi.ts'
import { NumberField } from '../NumberField.tsx'
import styles from '../../Sheets.module.css'

const MOST_THINGS = 23

export function EvidenceSettings({ question, onChange }: SettingsProps<'evidence'>) {
  const { t } = useTranslation(['sheets', 'things'])
  const { accepts, least, most } = question
  const toggle = (kind: EvidenceKind) => {
    const next = accepts.includes(kind) ? accepts.filter((one) => one !== kind) : [...accepts, kind]
    onChange({ ...question, accepts: next })
  }
  return (
    <>
      <fieldset className={styles.accepts}>
        <legend>{t('build.accepts')}</legend>
        {evidenceKinds.map((kind) => (
          <FormControlLabel
            key={kind}
            control={<Checkbox checked={accepts.includes(kind)} onChange={() => toggle(kind)} />}
            label={t(`things:kinds.${kind}`)}
          />
        ))}
      </fieldset>
      <div className={styles.limits}>
        <NumberField
          label={t('build.leastThings')}
          value={least}
          most={MOST_THINGS}
          onChange={(value) => onChange({ ...question, least: value ?? 0 })}
        />
        <NumberField
          label={t('build.mostThings')}
          value={most}
          most={MOST_THINGS}
          onChange={(value) => onChange({ ...question, most: value })}
        />
      </div>
    </>
  )
}
