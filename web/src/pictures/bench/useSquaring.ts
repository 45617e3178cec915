// Squaring up by hand: corners are found, dragged and snapped to edges, and reported when they cannot be a sheet's.
import { findQuadFault, stepOf } from '@valise/core/pictures'
import type { PictureRecipe, Quad, Size } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { PictureDesk } from '../desk/index.ts'
import { withStep } from './recipeChanges.ts'
import { cornersAsTaken, squareStepOf } from './squaring.ts'

interface SquaringOf {
  readonly desk: PictureDesk | null
  readonly original: Size
  /** As it is shown, and as it was before a corner was taken hold of. */
  readonly recipe: PictureRecipe
  readonly before: PictureRecipe
  onShow(recipe: PictureRecipe): void
  onSave(recipe: PictureRecipe): void
  onSaid(words: string): void
}

export interface Squaring {
  /** In pixels of the picture as it was taken. */
  readonly corners: Quad
  readonly isSnapping: boolean
  setIsSnapping(isSnapping: boolean): void
  find(): void
  move(corners: Quad): void
  drop(isByPointer: boolean): void
  /** Lets go of corners that were taken hold of. */
  leave(): void
}

type Parts = Parameters<PictureDesk['work']['snap']>[0]

export function useSquaring({ desk, original, recipe, before, ...callbacks }: SquaringOf): Squaring {
  const { onShow, onSave, onSaid } = callbacks
  const { t } = useTranslation('bench')
  const [held, setHeld] = useState<Quad | null>(null)
  const [isSnapping, setIsSnapping] = useState(true)
  // Four went in, so four come out.
  const toPixels = (parts: readonly (readonly [number, number])[]) =>
    parts.map(([x, y]) => ({ x: x * original.width, y: y * original.height })) as unknown as Quad
  const find = async () => {
    if (!desk) return
    const found = await desk.work.findSheet()
    if (!found) return onSaid(t('square.none'))
    onSave(withStep(recipe, { ...squareStepOf(original, recipe, toPixels(found.corners)), byHand: 0 }))
  }
  const snap = async (quad: Quad): Promise<Quad> => {
    const parts = quad.map(({ x, y }) => [x / original.width, y / original.height]) as unknown as Parts
    const found = await desk?.work.snap(parts)
    return found ? toPixels(found) : quad
  }
  const drop = async (isByPointer: boolean) => {
    if (!held) return
    const fault = findQuadFault(held)
    if (fault) return onSaid(t(`square.faults.${fault}`))
    const step = stepOf(before.steps, 'square')
    const corners = isSnapping && isByPointer && desk ? await snap(held) : held
    const byHand = Math.min(4, (step?.byHand ?? 0) + 1)
    setHeld(null)
    onSave(withStep(recipe, { ...squareStepOf(original, recipe, corners), byHand }))
  }
  return {
    corners: held ?? cornersAsTaken(original, recipe),
    isSnapping,
    setIsSnapping,
    find: () => void find(),
    move: (next) => {
      setHeld(next)
      if (!findQuadFault(next)) onShow(withStep(recipe, squareStepOf(original, recipe, next)))
    },
    drop: (isByPointer) => void drop(isByPointer),
    leave: () => setHeld(null),
  }
}
