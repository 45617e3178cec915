// An assessor opened a sealed copy.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const copyOpened = Type.Object(
  { submissionId: idSchema, title: titleSchema, by: Type.String() },
  { additionalProperties: false },
)
