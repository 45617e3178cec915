// An assessor accepted what was handed in.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const workAccepted = Type.Object(
  { submissionId: idSchema, title: titleSchema, by: Type.String() },
  { additionalProperties: false },
)
