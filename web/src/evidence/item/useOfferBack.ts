// What was just put into the bin, said at the foot with the way back.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { offerUndo } from '../../ui/footNote.ts'
import { useBin } from '../../bin/index.ts'
import { loadedEvidence, useEvidenceWords } from '../base/index.ts'

/** @returns a function that, after items went into the bin, offers to take them out again */
export function useOfferBack(): (ids: readonly string[]) => void {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const client = useQueryClient()
  const bin = useBin()
  return (ids) => {
    const [only] = ids
    if (only === undefined) return
    const item = ids.length === 1 ? loadedEvidence(client, only) : undefined
    offerUndo(
      item ? t('bin.done', { title: words.title(item) }) : t('bin.doneMany', { count: ids.length }),
      async () => {
        for (const id of ids) await bin.mutateAsync({ id, act: 'out' })
      },
    )
  }
}
