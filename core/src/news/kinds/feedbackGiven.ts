// Somebody said something about a submission.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const feedbackGiven = object({ submissionId: idSchema, title: titleSchema, by: Type.String() })
