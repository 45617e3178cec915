// How many things each place of the rail holds.
import { queryOptions } from '@tanstack/react-query'
import { get } from '../api/index.ts'

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
  opened: 'opened-to-me',
  desk: 'review-desk',
}
const paths: Partial<Record<CountedPlace, string>> = { opened: 'opened-to-me', desk: 'review-desk' }

/** Whatever changes the things of a place fetches all under its key anew, and so the count with them. */
export function countQuery(place: CountedPlace) {
  return queryOptions({
    queryKey: [keys[place] ?? place, 'count'],
    queryFn: ({ signal }) => get<{ kept: number }>(`/api/${paths[place] ?? place}/count`, signal),
  })
}
