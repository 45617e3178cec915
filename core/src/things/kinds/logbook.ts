// A logbook, which holds entries.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const logbook = {
  path: 'logbooks',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: false,
} as const satisfies ThingDefinition
