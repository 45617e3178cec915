// How a recipe changes: a step taken, changed, switched, dropped.
import { stepOf } from '@valise/core/pictures'
import type { ConcealedRegion, Mark, PictureRecipe, RecipeStep, StepKind } from '@valise/core/pictures'

/** Replaces the step of the same kind, or appends it. */
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

/** Returns the concealed regions, whether the step is on or off. */
export function regionsOf(recipe: PictureRecipe): readonly ConcealedRegion[] {
  return stepOf(recipe.steps, 'conceal')?.parts ?? []
}

/** Returns the marks on the picture. */
export function marksOf(recipe: PictureRecipe): readonly Mark[] {
  return stepOf(recipe.steps, 'mark')?.marks ?? []
}

/** Replaces the marks; without marks the step is removed. */
export function withMarks(recipe: PictureRecipe, marks: readonly Mark[]): PictureRecipe {
  return marks.length === 0
    ? withoutStep(recipe, 'mark')
    : withStep(recipe, { kind: 'mark', on: true, marks: [...marks] })
}

/** Replaces the concealed regions; without regions the step is removed. */
export function withRegions(recipe: PictureRecipe, parts: readonly ConcealedRegion[]): PictureRecipe {
  return parts.length === 0
    ? withoutStep(recipe, 'conceal')
    : withStep(recipe, { kind: 'conceal', on: true, parts: [...parts] })
}

/** Returns what of a recipe fits another picture: no marks, and positions only where the size is the same. */
export function recipeForOther(recipe: PictureRecipe, isSameSize: boolean): PictureRecipe {
  const steps = recipe.steps.filter(
    ({ kind }) => kind !== 'mark' && (isSameSize || (kind !== 'square' && kind !== 'conceal')),
  )
  return { ...recipe, steps }
}
