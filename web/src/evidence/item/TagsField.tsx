// The tags of one item: each is saved as it is added or removed.
import { useQuery } from '@tanstack/react-query'
import { cleanTags } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, TagInput, useTagSuggestions } from '../base/index.ts'

interface TagsFieldProps {
  readonly tags: readonly string[]
  readonly readOnly: boolean
  /** What the place suggests beside the tags in use. */
  readonly suggested?: readonly string[]
  readonly onSave: (tags: string[]) => Promise<unknown>
}

export function TagsField({ tags, readOnly, suggested = [], onSave }: TagsFieldProps) {
  const { t } = useTranslation('evidence')
  const inUse = useQuery(evidenceQueries.tags())
  const options = useTagSuggestions(inUse.data, suggested)
  // Shown optimistically; the next tag is added to those that are still being saved.
  const [pending, setPending] = useState<string[] | null>(null)
  const put = (next: readonly string[]) => {
    const clean = cleanTags(next)
    setPending(clean)
    const settle = () => setPending((latest) => (latest === clean ? null : latest))
    void onSave(clean).then(settle, settle)
  }
  return (
    <TagInput
      label={t('tags.label')}
      tags={pending ?? tags}
      options={options}
      readOnly={readOnly}
      onChange={put}
    />
  )
}
