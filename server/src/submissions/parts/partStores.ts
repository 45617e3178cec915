// The list of the kinds of things that can be handed in.
import type { PartKind } from '@valise/core/things'
import { entry } from './entry.ts'
import { evidence } from './evidence.ts'
import { guideCopy } from './guideCopy.ts'
import { page } from './page.ts'
import type { PartStore } from './PartStore.ts'

const partStores = { page, entry, evidence, guideCopy } satisfies Record<PartKind, PartStore>

export function partStoreOf(kind: PartKind): PartStore {
  return partStores[kind]
}
