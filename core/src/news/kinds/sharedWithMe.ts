// Somebody shared a thing with one person.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { sharedKindSchema } from '../../things/index.ts'

export const sharedWithMe = object({
  name: Type.String({ description: 'Who shared it' }),
  kind: sharedKindSchema,
  thingId: idSchema,
})
