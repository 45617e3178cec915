// What the bench knows of the server: the recipe of a version, the picture as it was taken.
import { queryOptions } from '@tanstack/react-query'
import type { SavedRecipe, PictureRecipe } from '@valise/core/pictures'
import { ask, get, getBytes } from '../../api/index.ts'

export interface VersionOfItem {
  readonly id: string
  readonly n: number
}

export const recipeQueries = {
  one: ({ id, n }: VersionOfItem) =>
    queryOptions({
      queryKey: ['recipe', id, n],
      queryFn: ({ signal }) => get<SavedRecipe>(recipeAddress({ id, n }), signal),
      // The bench changes it; a change from another window shows when this one saves.
      staleTime: Infinity,
      gcTime: 0,
    }),
}

export function putRecipe(of: VersionOfItem, recipe: PictureRecipe, revision: number): Promise<SavedRecipe> {
  return ask<SavedRecipe>('PUT', recipeAddress(of), { body: recipe, revision })
}

export function readRecipe(of: VersionOfItem): Promise<SavedRecipe> {
  return get<SavedRecipe>(recipeAddress(of))
}

export function recipeAddress({ id, n }: VersionOfItem): string {
  return `/api/evidence/${id}/versions/${n}/recipe`
}

export function asTakenAddress({ id, n }: VersionOfItem): string {
  return `/api/evidence/${id}/versions/${n}/as-taken`
}

/** Fetches the bytes of a picture. */
export async function fetchPicture(address: string, signal: AbortSignal): Promise<Blob> {
  return new Blob([await getBytes(address, signal)])
}
