// What was handed in is sealed, and has a receipt.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const copySealed = object({
  submissionId: idSchema,
  assignmentId: idSchema,
  title: titleSchema,
  number: Type.String({ description: 'Of the receipt' }),
})
