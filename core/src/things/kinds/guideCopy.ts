// A student's own copy of a guide.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const guideCopy = {
  path: 'guide-copies',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: true,
} as const satisfies ThingDefinition
