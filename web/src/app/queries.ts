// How many things each place of the rail holds.
import { queryOptions } from '@tanstack/react-query'
import { get, withQuery } from '../api/index.ts'
import type { Topic } from '../api/index.ts'

const counted = [
  'evidence',
  'logbooks',
  'pages',
  'collections',
  'opened',
  'submissions',
  'desk',
  'assignments',
] as const
export type CountedPlace = (typeof counted)[number]

export function isCounted(name: string): name is CountedPlace {
  return counted.some((one) => one === name)
}

/** What changes the count of a place. */
const followed = {
  evidence: ['evidence', 'bin'],
  logbooks: ['reflections', 'bin'],
  pages: ['pages', 'bin'],
  collections: ['collections', 'bin'],
  opened: ['bin'],
  submissions: ['submissions', 'bin'],
  desk: ['submissions'],
  assignments: ['assignments'],
} as const satisfies Record<CountedPlace, readonly Topic[]>
const paths: Partial<Record<CountedPlace, string>> = { opened: 'shared-with-me', desk: 'review-desk' }

export function countQuery(place: CountedPlace) {
  return queryOptions({
    queryKey: ['counts', place],
    meta: { follows: followed[place] },
    queryFn: () => fetchCount(paths[place] ?? place),
  })
}

type Counts = Readonly<Record<string, number>>

/** The places that are about to be asked for together, and their answer. */
let gathering: { readonly places: Set<string>; readonly answer: Promise<Counts> } | null = null

/** Places that are asked for in one moment go into one request. */
async function fetchCount(place: string): Promise<number> {
  if (!gathering) {
    const places = new Set<string>()
    const answer = Promise.resolve().then(() => {
      gathering = null
      return get<Counts>(withQuery('/api/counts', { of: [...places].join(',') }))
    })
    gathering = { places, answer }
  }
  gathering.places.add(place)
  const counts = await gathering.answer
  return counts[place] ?? 0
}
