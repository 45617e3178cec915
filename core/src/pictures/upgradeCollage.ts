// Collages of earlier schemas, brought to the newest one when they are read.
import { AppError } from '../problems/index.ts'
import type { Collage } from './collageSchema.ts'
import { COLLAGE_SCHEMA } from './valueLists.ts'

interface StoredCollage {
  readonly schema: number
}

/** The step at place n leads from schema n + 1 to n + 2. Steps are pure, and are never changed once they shipped. */
const steps: readonly ((collage: StoredCollage) => StoredCollage)[] = []

/**
 * Upgrades a stored collage to the newest schema. @throws AppError `invalid` when a newer version of Valise wrote it
 */
export function upgradeCollage(stored: StoredCollage): Collage {
  if (stored.schema > COLLAGE_SCHEMA) throw new AppError('invalid', 'collage-newer')
  // The last step led to the newest schema, which is what this type says.
  return steps.slice(stored.schema - 1).reduce((collage, step) => step(collage), stored) as Collage
}
