// Starting a guide, and writing an entry for one, from wherever one is.
import { useMutation } from '@tanstack/react-query'
import type { NewGuideEntry } from '@valise/core/guides'
import { ask } from '../api/index.ts'

export function copyPath(id: string): string {
  return `/api/guide-copies/${id}`
}

/** Starts a guide; whoever started it before gets the same copy. */
export function useStart() {
  return useMutation({
    meta: { showsSaving: true, changes: ['guides'] },
    mutationFn: start,
  })
}

function start(guideId: string): Promise<{ id: string }> {
  return ask('POST', `/api/guides/${guideId}/copies`, { body: {} })
}

interface DueEntry extends NewGuideEntry {
  readonly guideId: string
  /** Null where the guide is not begun. */
  readonly copyId: string | null
  readonly key: string
}

/** Writes an entry for a question of a guide, which is started where it was not. */
export function useWriteDueEntry() {
  return useMutation({
    meta: { showsSaving: true, changes: ['guides', 'reflections'] },
    mutationFn: async ({ guideId, copyId: begun, key, ...body }: DueEntry) => {
      const copyId = begun ?? (await start(guideId)).id
      const { id: entryId } = await ask<{ id: string }>('POST', `${copyPath(copyId)}/entries`, { body, key })
      return { copyId, entryId }
    },
  })
}
