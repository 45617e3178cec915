// An assessor accepted what was handed in.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const workAccepted = object({ submissionId: idSchema, title: titleSchema, by: Type.String() })
