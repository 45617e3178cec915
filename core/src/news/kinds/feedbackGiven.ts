// Somebody said something about a submission.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const feedbackGiven = Type.Object(
  { submissionId: idSchema, title: titleSchema, by: Type.String() },
  { additionalProperties: false },
)
