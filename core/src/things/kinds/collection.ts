// A collection: pages and collections in an order.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const collection = {
  path: 'collections',
  isShared: true,
  hasDraft: false,
  isContainer: true,
  isHandedIn: false,
} as const satisfies ThingDefinition
