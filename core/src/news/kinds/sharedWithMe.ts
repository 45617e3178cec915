// Somebody shared a thing with one person.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { sharedKindSchema } from '../../things/index.ts'

export const sharedWithMe = Type.Object(
  {
    name: Type.String({ description: 'Who shared it' }),
    kind: sharedKindSchema,
    thingId: idSchema,
  },
  { additionalProperties: false },
)
