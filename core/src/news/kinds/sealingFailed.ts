// What was handed in could not be sealed.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const sealingFailed = Type.Object(
  { submissionId: idSchema, assignmentId: idSchema, title: titleSchema },
  { additionalProperties: false },
)
