// How a thing is named, and where it is used.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { localizedSchema } from '../people/index.ts'
import { sharedKinds, thingKinds } from './thingDefinitions.ts'

export const thingKindSchema = Type.Enum([...thingKinds])
export const sharedKindSchema = Type.Enum([...sharedKinds])

/** A thing that passes may be given for. */
export const sharedThingSchema = object({ kind: sharedKindSchema, id: idSchema })
export type SharedThing = Static<typeof sharedThingSchema>

/** Where a thing is used: another thing that shows it, or a submission whose sealed copy contains it. */
const useSchema = Type.Union([
  object({ kind: thingKindSchema, id: idSchema, title: Type.String() }),
  object({ kind: Type.Literal('submission'), id: idSchema, title: localizedSchema(Number.MAX_SAFE_INTEGER) }),
])
export const usesSchema = Type.Array(useSchema)
export type Use = Static<typeof useSchema>
