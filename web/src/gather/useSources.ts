// The ways in that this school and this device have, and what each does.
import { queryOptions, useQuery } from '@tanstack/react-query'
import type { Sources as SchoolSources } from '@valise/core/evidence'
import { get } from '../api/index.ts'
import { addFiles, chooseFiles } from '../evidence/upload/index.ts'
import { useClassInView } from '../evidence/base/index.ts'
import { gather } from './gathering.ts'
import type { LandingPlace } from './gathering.ts'
import { allSources } from './sources.ts'
import type { Source } from './sources.ts'

/** What this school has set up; apart from what the dialogs ask, since Today asks it at once. */
const schoolWays = queryOptions({
  queryKey: ['sources'],
  queryFn: ({ signal }) => get<SchoolSources>('/api/sources', signal),
  staleTime: Infinity,
})

export interface Sources {
  readonly sources: readonly Source[]
  go(source: Source): void
}

/**
 * Returns whether it is known which sources the school has set up, or that it cannot be asked; asks only where it
 * `matters`.
 */
export function useAreSourcesKnown(matters: boolean): boolean {
  const { isPending } = useQuery({ ...schoolWays, enabled: matters })
  return !matters || !isPending
}

/**
 * @param place where new items go; the class in view is implied
 */
export function useSources(place: LandingPlace = {}): Sources {
  const classId = useClassInView()
  const { data: school } = useQuery(schoolWays)
  const landing: LandingPlace = { ...(classId !== null && { classId }), ...place }
  return {
    sources: allSources.filter((source) => {
      // A phone does not lend its camera to itself.
      if (source === 'phone') return !globalThis.matchMedia?.('(pointer: coarse)').matches
      if (source === 'drive') return school?.drive === true
      // A slot wants the thing itself, and a board takes its time.
      if (source === 'collage') return landing.onSaved === undefined
      return source !== 'shelf' || school?.shelf === true
    }),
    go: (source) => {
      if (source !== 'files' && source !== 'folder') return gather(source, landing)
      const chosen = chooseFiles({ several: landing.onSaved === undefined, folder: source === 'folder' })
      void chosen.then((files) => {
        if (files.length > 0) void addFiles(files, landing)
      })
    },
  }
}
