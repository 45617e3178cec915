// Which questions an entry goes along, and how many entries are asked for.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { sheetQueries } from '../../queries.ts'
import { SheetField } from '../../SheetField.tsx'
import type { SettingsProps } from '../FieldUi.ts'
import { NumberField } from '../NumberField.tsx'
import styles from '../../Sheets.module.css'

const MOST_ENTRIES = 23

export function EntrySettings({ question, onChange }: SettingsProps<'entry'>) {
  const { t } = useTranslation('sheets')
  const { data = [] } = useQuery(sheetQueries.list())
  const { sheet, least, most } = question
  const choose = (sheetId: string) => {
    const chosen = data.find(({ id }) => id === sheetId)
    onChange({ ...question, sheet: chosen ? { id: sheetId, title: chosen.title } : null })
  }
  return (
    <>
      <SheetField
        label={t('build.entrySheet')}
        value={sheet?.id ?? ''}
        {...(sheet && { title: sheet.title })}
        onChange={choose}
      />
      <div className={styles.limits}>
        <NumberField
          label={t('build.leastEntries')}
          value={least}
          most={MOST_ENTRIES}
          onChange={(value) => onChange({ ...question, least: value ?? 0 })}
        />
        <NumberField
          label={t('build.mostEntries')}
          value={most}
          most={MOST_ENTRIES}
          onChange={(value) => onChange({ ...question, most: value })}
        />
      </div>
    </>
  )
}
