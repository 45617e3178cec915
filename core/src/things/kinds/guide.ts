// A guide that an assessor sets.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const guide = {
  path: 'guides',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: false,
} as const satisfies ThingDefinition
