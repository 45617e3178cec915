// A sheet of questions.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const sheet = {
  path: 'sheets',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: false,
} as const satisfies ThingDefinition
