// An item of evidence.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const evidence = {
  path: 'evidence',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: true,
} as const satisfies ThingDefinition
