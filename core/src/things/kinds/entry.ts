// An entry in a logbook.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const entry = {
  path: 'entries',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: true,
} as const satisfies ThingDefinition
