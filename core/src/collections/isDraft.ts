// Whether others do not see a thing yet.
import { thingDefinitionOf } from '../things/index.ts'
import type { SharedKind } from '../things/index.ts'
import type { Instant } from '../time/index.ts'

/** Returns whether a thing waits for being published, so that others see nothing of it. */
export function isDraft(thing: { readonly kind: SharedKind; readonly publishedAt: Instant | null }): boolean {
  return thingDefinitionOf(thing.kind).hasDraft && thing.publishedAt === null
}
