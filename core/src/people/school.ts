// The school itself: one installation is one school.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { languages } from './valueLists.ts'

export const languageSchema = Type.Enum([...languages])

export const schoolSchema = Type.Object(
  {
    name: Type.String(),
    timeZone: Type.String({ description: 'IANA zone; windows and due times are given in it' }),
    language: languageSchema,
  },
  { additionalProperties: false },
)
export type School = Static<typeof schoolSchema>
