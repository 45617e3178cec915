// Files that are dropped or pasted on an open page: they come into one's evidence and stand where they were let go.
import { useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useCallback } from 'react'
import { addFiles } from '../evidence/upload/index.ts'
import { evidenceQueries, useClassInView } from '../evidence/base/index.ts'
import type { DraftSync } from '../saving/index.ts'
import { listPlaces } from './places.ts'
import type { PagePlace } from './places.ts'
import { usePageActs } from './usePageEditor.ts'

/**
 * Uploads files and puts them at a place, in order, once all have arrived. One that is refused and retried later
 * comes last.
 */
export function usePutFiles(sync: DraftSync): (files: readonly File[], place: PagePlace | null) => void {
  const client = useQueryClient()
  const classId = useClassInView()
  const { addEvidence } = usePageActs()
  return useCallback(
    (files, place) => {
      const put = (items: readonly Evidence[], where: PagePlace | null) => {
        const { document } = sync.state()
        // The row that it was dropped beside may be gone by now.
        const rows = document.rows.map(({ id }) => id)
        const isThere =
          where?.kind === 'in-row'
            ? rows.includes(where.rowId)
            : where && (where.after === null || rows.includes(where.after))
        const last = listPlaces(document).at(-1)
        addEvidence(items, where && isThere ? where : last)
      }
      let isPut = false
      const arriving = files.map(
        (file) =>
          new Promise<Evidence | null>((resolve) => {
            const onSaved = async (id: string) => {
              const item = await fetchItem(client, id)
              if (isPut && item) put([item], null)
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
        isPut = true
        const arrived = items.filter((item) => item !== null)
        if (arrived.length > 0) put(arrived, place)
      })
    },
    [client, classId, addEvidence, sync],
  )
}

/** Null where it cannot be had now: it is in the evidence, and can be added by hand. */
async function fetchItem(client: QueryClient, id: string): Promise<Evidence | null> {
  return client.fetchQuery(evidenceQueries.one(id)).catch(() => null)
}
