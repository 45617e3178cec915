// An assignment was set for a class.
import { Type } from 'typebox'
import { idSchema } from '../../people/index.ts'
import { titleSchema } from './titleSchema.ts'

export const assignmentSet = Type.Object(
  { assignmentId: idSchema, title: titleSchema, className: Type.String() },
  { additionalProperties: false },
)
