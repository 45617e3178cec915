// The ways in that this school and this device have, and what each does.
import { queryOptions, useQuery } from '@tanstack/react-query'
import type { WaysIn as SchoolWays } from '@valise/core/evidence'
import { get } from '../api/index.ts'
import { addFiles } from '../evidence/addFiles.ts'
import { chooseFiles } from '../evidence/chooseFiles.ts'
import { useClassInView } from '../evidence/useClassInView.ts'
import { gather } from './gathering.ts'
import type { LandingPlace } from './gathering.ts'
import { allWays } from './ways.ts'
import type { Way } from './ways.ts'

/** What this school has set up; apart from what the dialogs ask, since Today asks it at once. */
const schoolWays = queryOptions({
  queryKey: ['ways-in'],
  queryFn: ({ signal }) => get<SchoolWays>('/api/ways-in', signal),
  staleTime: Infinity,
})

export interface WaysIn {
  readonly ways: readonly Way[]
  go(way: Way): void
}

/** Whether the school has answered which ways in it has set up, or cannot be asked; asked for where it `matters`. */
export function useAreWaysKnown(matters: boolean): boolean {
  const { isPending } = useQuery({ ...schoolWays, enabled: matters })
  return !matters || !isPending
}

/** @param place where it is to land; the class in view goes without saying */
export function useWaysIn(place: LandingPlace = {}): WaysIn {
  const classId = useClassInView()
  const { data: school } = useQuery(schoolWays)
  const landing: LandingPlace = { ...(classId !== null && { classId }), ...place }
  return {
    ways: allWays.filter((way) => {
      // A phone does not lend its camera to itself.
      if (way === 'phone') return !globalThis.matchMedia?.('(pointer: coarse)').matches
      if (way === 'drive') return school?.drive === true
      // A slot wants the thing itself, and a board takes its time.
      if (way === 'collage') return landing.onKept === undefined
      return way !== 'shelf' || school?.shelf === true
    }),
    go: (way) => {
      if (way !== 'files' && way !== 'folder') return gather(way, landing)
      const chosen = chooseFiles({ several: landing.onKept === undefined, folder: way === 'folder' })
      void chosen.then((files) => {
        if (files.length > 0) void addFiles(files, landing)
      })
    },
  }
}
