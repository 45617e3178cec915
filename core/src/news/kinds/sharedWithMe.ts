// Somebody shared a thing with one person.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'

export const sharedWithMe = Type.Object(
  {
    name: Type.String({ description: 'Who shared it' }),
    kind: Type.Enum(['page', 'collection']),
    thingId: idSchema,
  },
  { additionalProperties: false },
)
