// What was handed in could not be sealed.
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const sealingFailed = object({ submissionId: idSchema, assignmentId: idSchema, title: titleSchema })
