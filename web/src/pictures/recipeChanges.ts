// How a recipe changes: a step taken, changed, switched, dropped; and the way back and forth over all of it.
import { stepOf } from '@valise/core/pictures'
import type { ConcealedPart, Mark, PictureRecipe, RecipeStep, StepKind } from '@valise/core/pictures'

/** Puts a step in the place of the one of its kind, or at the end. */
export function withStep(recipe: PictureRecipe, step: RecipeStep): PictureRecipe {
  const isThere = recipe.steps.some(({ kind }) => kind === step.kind)
  const steps = isThere
    ? recipe.steps.map((one) => (one.kind === step.kind ? step : one))
    : [...recipe.steps, step]
  return { ...recipe, steps }
}

export function withoutStep(recipe: PictureRecipe, kind: StepKind): PictureRecipe {
  return { ...recipe, steps: recipe.steps.filter((step) => step.kind !== kind) }
}

export function withSwitch(recipe: PictureRecipe, kind: StepKind, on: boolean): PictureRecipe {
  return { ...recipe, steps: recipe.steps.map((step) => (step.kind === kind ? { ...step, on } : step)) }
}

/** The parts that are concealed, with or without being switched on. */
export function partsOf(recipe: PictureRecipe): readonly ConcealedPart[] {
  return stepOf(recipe.steps, 'conceal')?.parts ?? []
}

/** The marks that stand on the picture. */
export function marksOf(recipe: PictureRecipe): readonly Mark[] {
  return stepOf(recipe.steps, 'mark')?.marks ?? []
}

/** With no mark left the step goes as well. */
export function withMarks(recipe: PictureRecipe, marks: readonly Mark[]): PictureRecipe {
  return marks.length === 0
    ? withoutStep(recipe, 'mark')
    : withStep(recipe, { kind: 'mark', on: true, marks: [...marks] })
}

/** With no part left the step goes as well. */
export function withParts(recipe: PictureRecipe, parts: readonly ConcealedPart[]): PictureRecipe {
  return parts.length === 0
    ? withoutStep(recipe, 'conceal')
    : withStep(recipe, { kind: 'conceal', on: true, parts: [...parts] })
}

/** The way back and forth: what was before, what is, what was taken back. */
export interface RecipeHistory {
  readonly past: readonly PictureRecipe[]
  readonly present: PictureRecipe
  readonly future: readonly PictureRecipe[]
}

export function beginHistory(present: PictureRecipe): RecipeHistory {
  return { past: [], present, future: [] }
}

/** A change; the same as before is none. */
export function change(history: RecipeHistory, present: PictureRecipe): RecipeHistory {
  if (JSON.stringify(present) === JSON.stringify(history.present)) return history
  return { past: [...history.past, history.present], present, future: [] }
}

export function undo({ past, present, future }: RecipeHistory): RecipeHistory {
  const before = past.at(-1)
  return before
    ? { past: past.slice(0, -1), present: before, future: [present, ...future] }
    : { past, present, future }
}

export function redo({ past, present, future }: RecipeHistory): RecipeHistory {
  const [next, ...rest] = future
  return next ? { past: [...past, present], present: next, future: rest } : { past, present, future }
}

/** What of a recipe fits another picture: no marks, and places in the picture only where that has the same size. */
export function recipeForOther(recipe: PictureRecipe, isSameSize: boolean): PictureRecipe {
  const steps = recipe.steps.filter(
    ({ kind }) => kind !== 'mark' && (isSameSize || (kind !== 'square' && kind !== 'conceal')),
  )
  return { ...recipe, steps }
}
