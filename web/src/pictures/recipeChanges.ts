// How a recipe changes: a step taken, changed, switched, dropped.
import { stepOf } from '@valise/core/pictures'
import type { ConcealedRegion, Mark, PictureRecipe, RecipeStep, StepKind } from '@valise/core/pictures'

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
export function partsOf(recipe: PictureRecipe): readonly ConcealedRegion[] {
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
export function withRegions(recipe: PictureRecipe, parts: readonly ConcealedRegion[]): PictureRecipe {
  return parts.length === 0
    ? withoutStep(recipe, 'conceal')
    : withStep(recipe, { kind: 'conceal', on: true, parts: [...parts] })
}

/** What of a recipe fits another picture: no marks, and places in the picture only where that has the same size. */
export function recipeForOther(recipe: PictureRecipe, isSameSize: boolean): PictureRecipe {
  const steps = recipe.steps.filter(
    ({ kind }) => kind !== 'mark' && (isSameSize || (kind !== 'square' && kind !== 'conceal')),
  )
  return { ...recipe, steps }
}
