// The school itself: one installation is one school.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../schemas/index.ts'
import { languages } from './valueLists.ts'

export const languageSchema = Type.Enum([...languages])

export const schoolSchema = object({
  name: Type.String(),
  timeZone: Type.String({ description: 'IANA zone; windows and due times are given in it' }),
  language: languageSchema,
})
export type School = Static<typeof schoolSchema>
