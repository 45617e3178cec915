// Two windows changed the same thing: what each did since both knew the same is taken together, and nothing gets lost.
import { isSame } from '../json/index.ts'
import type { Collage, Layer } from './collageSchema.ts'
import { mergeConcealment } from './mergeConcealment.ts'
import { stepOf } from './runRecipe.ts'
import type { Mark, PictureRecipe, RecipeStep } from './schema.ts'
import { MOST_LAYERS, MOST_MARKS } from './valueLists.ts'

/**
 * Merges the recipe of this window with one that another window saved. Where both changed a step, this window's wins;
 * what either conceals stays concealed, and the marks of both stay.
 *
 * @param base the recipe that both windows started from
 */
export function mergeRecipes(base: PictureRecipe, mine: PictureRecipe, theirs: PictureRecipe): PictureRecipe {
  const kinds = [...new Set([...mine.steps, ...theirs.steps].map(({ kind }) => kind))]
  const steps = kinds.flatMap((kind): RecipeStep[] => {
    const [before, own, other] = [base, mine, theirs].map(({ steps: all }) => stepOf(all, kind))
    if (kind === 'mark') return marksOf(mergeById(list(before), list(own), list(other)), own ?? other)
    const chosen = isSame(own, before) ? other : own
    return chosen ? [chosen] : []
  })
  const merged = { ...mine, steps }
  const hasChanged = !isSame(stepOf(base.steps, 'conceal'), stepOf(mine.steps, 'conceal'))
  return hasChanged ? mergeConcealment(merged, theirs) : merged
}

function list(step: RecipeStep | undefined): readonly Mark[] {
  return step?.kind === 'mark' ? step.marks : []
}

function marksOf(marks: readonly Mark[], step: RecipeStep | undefined): RecipeStep[] {
  return marks.length === 0 || !step ? [] : [{ kind: 'mark', on: step.on, marks: marks.slice(-MOST_MARKS) }]
}

/**
 * Merges the collage of this window with one that another window saved, layer by layer; where both changed a layer,
 * this window's wins.
 */
export function mergeCollages(base: Collage, mine: Collage, theirs: Collage): Collage {
  const layers = mergeById<Layer>(base.layers, mine.layers, theirs.layers).slice(-MOST_LAYERS)
  return {
    ...theirs,
    size: mine.size === base.size ? theirs.size : mine.size,
    background: isSame(mine.background, base.background) ? theirs.background : mine.background,
    layers: isSame(idsOf(mine.layers), idsOf(base.layers)) ? layers : inOrderOf(mine.layers, layers),
  }
}

interface Named {
  readonly id: string
}

/** What one window took out and the other changed stays, since it is easier to take out again than to make again. */
function mergeById<T extends Named>(base: readonly T[], mine: readonly T[], theirs: readonly T[]): T[] {
  const find = (all: readonly T[], id: string) => all.find((one) => one.id === id)
  const merged = theirs.flatMap((other): T[] => {
    const [before, own] = [find(base, other.id), find(mine, other.id)]
    if (own) return [isSame(own, before) ? other : own]
    return before && isSame(before, other) ? [] : [other]
  })
  const added = mine.filter((own) => {
    if (find(theirs, own.id)) return false
    const before = find(base, own.id)
    return !before || !isSame(before, own)
  })
  return [...merged, ...added]
}

/** This window's order for what it knows; what only the other knows lies on top, as it does when it is added. */
function inOrderOf(mine: readonly Layer[], layers: readonly Layer[]): Layer[] {
  const place = ({ id }: Layer) => {
    const at = mine.findIndex((one) => one.id === id)
    return at < 0 ? mine.length : at
  }
  return [...layers].sort((a, b) => place(a) - place(b))
}

function idsOf(all: readonly Named[]): readonly string[] {
  return all.map(({ id }) => id)
}
