// What concealment does to recipes that are held elsewhere: a published page holds one, and must conceal what is concealed now.
import { isSame } from '../json/index.ts'
import { stepOf } from './runRecipe.ts'
import type { ConcealedRegion, PictureRecipe } from './schema.ts'
import { MOST_PARTS } from './valueLists.ts'

/** Returns the held recipe with every region that either recipe conceals. */
export function mergeConcealment(held: PictureRecipe, newest: PictureRecipe): PictureRecipe {
  const own = concealedBy(held)
  const added = concealedBy(newest).filter((region) => !hasRegion(own, region))
  const parts = [...own, ...added].slice(-MOST_PARTS)
  const others = held.steps.filter(({ kind }) => kind !== 'conceal')
  return parts.length === 0
    ? { ...held, steps: others }
    : { ...held, steps: [...others, { kind: 'conceal', on: true, parts }] }
}

/** Returns whether the new recipe conceals a region that the old one did not. */
export function concealsMore(before: PictureRecipe, after: PictureRecipe): boolean {
  const old = concealedBy(before)
  return concealedBy(after).some((region) => !hasRegion(old, region))
}

function concealedBy({ steps }: PictureRecipe): readonly ConcealedRegion[] {
  const step = stepOf(steps, 'conceal')
  return step?.on ? step.parts : []
}

/** The same place counts, whatever it is filled with. */
function hasRegion(parts: readonly ConcealedRegion[], { corners, radius }: ConcealedRegion): boolean {
  return parts.some((one) => one.radius === radius && isSame(one.corners, corners))
}
