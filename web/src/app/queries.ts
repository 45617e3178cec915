// How many things each place of the rail holds.
import { queryOptions } from '@tanstack/react-query'
import { get } from '../api/index.ts'

const counted = ['evidence', 'logbooks', 'pages'] as const
export type CountedPlace = (typeof counted)[number]

export function isCounted(name: string): name is CountedPlace {
  return counted.some((one) => one === name)
}

/** Whatever changes the things of a place fetches all under its key anew, and so the count with them. */
export function countQuery(place: CountedPlace) {
  return queryOptions({
    queryKey: [place === 'logbooks' ? 'reflections' : place, 'count'],
    queryFn: ({ signal }) => get<{ kept: number }>(`/api/${place}/count`, signal),
  })
}
