// An assessor asked for changes.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const changesAsked = Type.Object(
  { submissionId: idSchema, title: titleSchema, by: Type.String() },
  { additionalProperties: false },
)
