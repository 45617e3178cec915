// What was just put into the bin, with the way back.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { FootNote } from '../ui/FootNote.tsx'
import { evidenceQueries, useBin } from './queries.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'

export function BinnedNote({
  ids,
  onGone,
}: {
  readonly ids: readonly string[]
  readonly onGone: () => void
}) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const client = useQueryClient()
  const bin = useBin()
  const [only] = ids
  if (only === undefined) return null
  const item = ids.length === 1 ? client.getQueryData(evidenceQueries.one(only).queryKey) : undefined
  const takeOut = async () => {
    for (const id of ids) await bin.mutateAsync({ id, into: false })
    onGone()
  }
  return (
    <FootNote
      words={item ? t('bin.done', { title: words.title(item) }) : t('bin.doneMany', { count: ids.length })}
      action={{ label: 'undo', run: () => void takeOut().catch(() => undefined) }}
      onGone={onGone}
    />
  )
}
