// A set of attributes to rate oneself on.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const attributeSet = {
  path: 'attribute-sets',
  isShared: false,
  hasDraft: false,
  isContainer: false,
  isHandedIn: false,
} as const satisfies ThingDefinition
