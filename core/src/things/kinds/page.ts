// A page, which others see once it is published.
import type { ThingDefinition } from '../ThingDefinition.ts'

export const page = {
  path: 'pages',
  isShared: true,
  hasDraft: true,
  isContainer: false,
  isHandedIn: true,
} as const satisfies ThingDefinition
