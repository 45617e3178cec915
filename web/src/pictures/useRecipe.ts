// The recipe under way, kept by itself; what another window did to the same picture is taken in.
import { useQueryClient } from '@tanstack/react-query'
import { joinRecipes } from '@valise/core/pictures'
import type { KeptRecipe, PictureRecipe } from '@valise/core/pictures'
import { useMemo } from 'react'
import { refreshEvidence } from '../evidence/queries.ts'
import { putRecipe, readRecipe, recipeAddress, recipeQueries } from './queries.ts'
import type { VersionOfItem } from './queries.ts'
import { useKeptDocument } from './useKeptDocument.ts'
import type { DocumentInHand, KeepingOf } from './useKeptDocument.ts'

export type RecipeInHand = DocumentInHand<PictureRecipe>

export function useRecipe(of: VersionOfItem, kept: KeptRecipe): RecipeInHand {
  const client = useQueryClient()
  const keeping = useMemo((): KeepingOf<PictureRecipe> => {
    const told = ({ recipe, revision }: KeptRecipe) => ({ document: recipe, revision })
    return {
      address: recipeAddress(of),
      put: async (recipe, revision) => {
        const answer = await putRecipe(of, recipe, revision)
        client.setQueryData(recipeQueries.one(of).queryKey, answer)
        return told(answer)
      },
      read: () => readRecipe(of).then(told),
      join: joinRecipes,
      onSettled: () => void refreshEvidence(client),
    }
  }, [of, client])
  return useKeptDocument({ document: kept.recipe, revision: kept.revision }, keeping)
}
