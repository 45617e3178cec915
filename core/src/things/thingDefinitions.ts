// The list of the kinds of things, and the lists that follow from it.
import type { ThingDefinition } from './ThingDefinition.ts'
import { attributeSet } from './kinds/attributeSet.ts'
import { collection } from './kinds/collection.ts'
import { entry } from './kinds/entry.ts'
import { evidence } from './kinds/evidence.ts'
import { guide } from './kinds/guide.ts'
import { guideCopy } from './kinds/guideCopy.ts'
import { logbook } from './kinds/logbook.ts'
import { page } from './kinds/page.ts'
import { sheet } from './kinds/sheet.ts'

const thingDefinitions = {
  page,
  collection,
  logbook,
  entry,
  evidence,
  sheet,
  attributeSet,
  guide,
  guideCopy,
} satisfies Record<string, ThingDefinition>

export type ThingKind = keyof typeof thingDefinitions

type Flag = Exclude<keyof ThingDefinition, 'path'>

/** The kinds of which a definition says that something is so. */
type KindThat<F extends Flag> = {
  [K in ThingKind]: (typeof thingDefinitions)[K][F] extends true ? K : never
}[ThingKind]

// The list has exactly these keys, which `Object.keys` does not say.
export const thingKinds = Object.keys(thingDefinitions) as ThingKind[]

/** What passes may be given for, and what may lie in a collection. */
export const sharedKinds = kindsThat('isShared')
export type SharedKind = KindThat<'isShared'>

/** What can be handed in. */
export const partKinds = kindsThat('isHandedIn')
export type PartKind = KindThat<'isHandedIn'>

export function thingDefinitionOf(kind: ThingKind): ThingDefinition {
  return thingDefinitions[kind]
}

/** Returns the address of the screen of a thing. */
export function screenOf(kind: ThingKind, id: string): string {
  return `/${thingDefinitions[kind].path}/${id}`
}

export function isSharedKind(kind: ThingKind): kind is SharedKind {
  return thingDefinitions[kind].isShared
}

function kindsThat<F extends Flag>(flag: F): KindThat<F>[] {
  // What is left has the flag, which the filter does not say.
  return thingKinds.filter((kind) => thingDefinitions[kind][flag]) as KindThat<F>[]
}
