// How many things each place of the rail holds.
import { queryOptions } from '@tanstack/react-query'
import { get, withQuery } from '../api/index.ts'

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

/** Places whose things are fetched under another name. */
const keys: Partial<Record<CountedPlace, string>> = {
  logbooks: 'reflections',
  opened: 'shared-with-me',
  desk: 'review-desk',
}
const paths: Partial<Record<CountedPlace, string>> = { opened: 'shared-with-me', desk: 'review-desk' }

/** The count of a place. Its key is below that of the place, so that invalidating the place refetches it. */
export function countQuery(place: CountedPlace) {
  return queryOptions({
    queryKey: [keys[place] ?? place, 'count'],
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
