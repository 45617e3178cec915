// The recipe being edited, saved by itself; changes of other windows are merged.
import { useQueryClient } from '@tanstack/react-query'
import { mergeRecipes } from '@valise/core/pictures'
import type { SavedRecipe, PictureRecipe } from '@valise/core/pictures'
import { tellChanged } from '../../api/index.ts'
import { useDocument } from '../../saving/index.ts'
import type { OpenDocument, DocumentStore } from '../../saving/index.ts'
import { putRecipe, readRecipe, recipeAddress, recipeQueries } from './queries.ts'
import type { VersionOfItem } from './queries.ts'

export type RecipeInHand = OpenDocument<PictureRecipe>

export function useRecipe(of: VersionOfItem, saved: SavedRecipe): RecipeInHand {
  const client = useQueryClient()
  const toStore = (): DocumentStore<PictureRecipe> => {
    const toSaved = ({ recipe, revision }: SavedRecipe) => ({ document: recipe, revision })
    return {
      address: recipeAddress(of),
      put: async (recipe, revision) => {
        const answer = await putRecipe(of, recipe, revision ?? 0)
        client.setQueryData(recipeQueries.one(of).queryKey, answer)
        return toSaved(answer)
      },
      read: () => readRecipe(of).then(toSaved),
      merge: mergeRecipes,
      onSettled: () => void tellChanged(client, ['evidence']),
    }
  }
  return useDocument({ document: saved.recipe, revision: saved.revision }, toStore)
}
