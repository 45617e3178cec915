// The tags of an entry.
import { useQuery } from '@tanstack/react-query'
import type { Entry } from '@valise/core/reflections'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, TagInput, useTagSuggestions } from '../evidence/base/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useChangeEntry } from './queries.ts'
import styles from './EntryEditor.module.css'

export function EntryTags({ entry }: { readonly entry: Entry }) {
  const { t } = useTranslation('reflections')
  const change = useChangeEntry(entry)
  const { data: inUse } = useQuery(evidenceQueries.tags())
  const options = useTagSuggestions(inUse)
  return (
    <section className={styles.tags}>
      <TagInput
        label={t('entry.tags')}
        tags={entry.tags}
        options={options}
        onChange={(tags) => change.mutate({ tags: [...tags] })}
      />
      <Refusal error={change.error} />
    </section>
  )
}
