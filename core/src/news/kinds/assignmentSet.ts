// An assignment was set for a class.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const assignmentSet = object({ assignmentId: idSchema, title: titleSchema, className: Type.String() })
