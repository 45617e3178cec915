// The day of an entry.
import type { Entry } from '@valise/core/reflections'
import { useTranslation } from 'react-i18next'
import { DayField } from '../ui/DayField.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { useChangeEntry } from './queries.ts'
import styles from './EntryEditor.module.css'

export function EntryDay({ entry }: { readonly entry: Entry }) {
  const { t } = useTranslation('reflections')
  const change = useChangeEntry(entry)
  // Each typed section makes another date; only the final one is saved.
  const saved = useSavedText(entry.day, (day) => {
    if (day !== '') change.mutate({ day })
  })
  return (
    <div
      className={styles.day}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) saved.leave()
      }}
    >
      <DayField label={t('entry.day')} value={saved.text} onChange={saved.change} />
      <Refusal error={change.error} />
    </div>
  )
}
