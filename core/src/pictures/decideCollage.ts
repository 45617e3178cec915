// Whether a collage can be kept, and collages of earlier schemas brought to the newest one.
import { AppError, type Decision, no, yes } from '../problems/index.ts'
import type { Collage } from './collageSchema.ts'
import { COLLAGE_SCHEMA } from './valueLists.ts'

/** Each layer is known by its id. */
export function decideCollage({ layers }: Collage): Decision {
  const ids = new Set(layers.map(({ id }) => id))
  return ids.size === layers.length ? yes : no('invalid-input')
}

interface StoredCollage {
  readonly schema: number
}

/** The step at place n leads from schema n + 1 to n + 2. Steps are pure, and are never changed once they shipped. */
const steps: readonly ((collage: StoredCollage) => StoredCollage)[] = []

/** A stored collage as the newest schema has it. @throws AppError `invalid` when a newer Valise than this wrote it */
export function upgradeCollage(stored: StoredCollage): Collage {
  if (stored.schema > COLLAGE_SCHEMA) throw new AppError('invalid', 'collage-newer')
  // The last step led to the newest schema, which is what this type says.
  return steps.slice(stored.schema - 1).reduce((collage, step) => step(collage), stored) as Collage
}
