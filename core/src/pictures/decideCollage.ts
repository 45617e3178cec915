// Whether a collage can be saved.
import { type Decision, no, yes } from '../problems/index.ts'
import type { Collage } from './collageSchema.ts'

/** Refuses layers with the same id. */
export function decideCollage({ layers }: Collage): Decision {
  const ids = new Set(layers.map(({ id }) => id))
  return ids.size === layers.length ? yes : no('invalid-input')
}
