// Things: all that a person owns, whatever its kind.
export { sharedKindSchema, sharedThingSchema, thingKindSchema, usesSchema } from './schema.ts'
export type { SharedThing, Use } from './schema.ts'
export {
  isSharedKind,
  partKinds,
  screenOf,
  sharedKinds,
  thingDefinitionOf,
  thingKinds,
} from './thingDefinitions.ts'
export type { PartKind, SharedKind, ThingKind } from './thingDefinitions.ts'
