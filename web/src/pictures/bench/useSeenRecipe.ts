// The recipe as it is shown while a tool is in the hand, and where its picture lies over the original.
import { IDENTITY, resolveGeometry } from '@valise/core/pictures'
import type { PictureRecipe, Size } from '@valise/core/pictures'
import { useMemo } from 'react'
import { withoutStep } from './recipeChanges.ts'
import { isMarkTool } from './tools.ts'
import type { ToolKind } from './tools.ts'

export function useSeenRecipe(recipe: PictureRecipe, tool: ToolKind | null, original: Size) {
  // What is cropped away is shown while it is being cropped; marks are over the picture while they are being made.
  const without = tool === 'crop' ? 'crop' : isMarkTool(tool) ? 'mark' : null
  // Marks that move do not make the picture under them anew.
  const text = JSON.stringify(without === null ? recipe : withoutStep(recipe, without))
  const seen = useMemo<PictureRecipe>(() => JSON.parse(text), [text])
  const geometry = useMemo(() => resolveGeometry(original, seen.steps), [original, seen])
  const asTaken = useMemo(() => ({ size: original, toOriginal: IDENTITY, toResult: IDENTITY }), [original])
  return { seen, geometry, asTaken }
}
