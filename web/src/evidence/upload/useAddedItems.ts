// Files that are to stand somewhere at once: added to one's evidence, and handed on as items when they have arrived.
import { useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useCallback } from 'react'
import { evidenceQueries, useClassInView } from '../base/index.ts'
import { addFiles } from './addFiles.ts'

/** Takes items that have arrived; one that was refused and retried later comes alone, and late. */
type TakeItems = (items: readonly Evidence[], isLate: boolean) => void

/** Returns what uploads files and hands them on together and in order, once all have arrived. */
export function useAddedItems(): (files: readonly File[], take: TakeItems) => void {
  const client = useQueryClient()
  const classId = useClassInView()
  return useCallback(
    (files, take) => {
      let isTaken = false
      const arriving = files.map(
        (file) =>
          new Promise<Evidence | null>((resolve) => {
            const onSaved = async (id: string) => {
              const item = await fetchItem(client, id)
              if (isTaken && item) take([item], true)
              else resolve(item)
            }
            void addFiles([file], {
              classId,
              onSaved: (id) => void onSaved(id),
              onRefused: () => resolve(null),
            })
          }),
      )
      void Promise.all(arriving).then((items) => {
        isTaken = true
        const arrived = items.filter((item) => item !== null)
        if (arrived.length > 0) take(arrived, false)
      })
    },
    [client, classId],
  )
}

/** Null where it cannot be had now: it is in the evidence, and can be added by hand. */
async function fetchItem(client: QueryClient, id: string): Promise<Evidence | null> {
  return client.fetchQuery(evidenceQueries.one(id)).catch(() => null)
}
