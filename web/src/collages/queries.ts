// What the editor of collages knows of the server.
import { queryOptions } from '@tanstack/react-query'
import type { Collage, SavedCollage } from '@valise/core/pictures'
import { ask, get } from '../api/index.ts'

export const collageQueries = {
  one: (id: string) =>
    queryOptions({
      queryKey: ['collage', id],
      queryFn: () => readCollage(id),
      // The editor changes it; a change from another window shows when this one saves.
      staleTime: Infinity,
      gcTime: 0,
    }),
}

export function collageAddress(id: string): string {
  return `/api/collages/${id}`
}

export function readCollage(id: string): Promise<SavedCollage> {
  return get<SavedCollage>(collageAddress(id))
}

export function putCollage(id: string, collage: Collage, revision: number): Promise<SavedCollage> {
  return ask<SavedCollage>('PUT', collageAddress(id), { body: collage, revision })
}
