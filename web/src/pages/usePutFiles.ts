// Files that are dropped or pasted on an open page: they come into one's evidence and stand where they were let go.
import { useCallback } from 'react'
import { useAddedItems } from '../evidence/upload/index.ts'
import type { DraftSync } from '../saving/index.ts'
import { listPlaces } from './places.ts'
import type { PagePlace } from './places.ts'
import { usePageActs } from './usePageEditor.ts'

/** Returns what uploads files and puts them at a place, in order; one that comes late stands last. */
export function usePutFiles(sync: DraftSync): (files: readonly File[], place: PagePlace | null) => void {
  const addItems = useAddedItems()
  const { addEvidence } = usePageActs()
  return useCallback(
    (files, place) =>
      addItems(files, (items, isLate) => {
        const { document } = sync.state()
        const where = isLate ? null : place
        // The row that it was dropped beside may be gone by now.
        const rows = document.rows.map(({ id }) => id)
        const isThere =
          where?.kind === 'in-row'
            ? rows.includes(where.rowId)
            : where && (where.after === null || rows.includes(where.after))
        addEvidence(items, where && isThere ? where : listPlaces(document).at(-1))
      }),
    [addItems, addEvidence, sync],
  )
}
