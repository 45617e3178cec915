// An assessor opened a sealed copy.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const copyOpened = object({ submissionId: idSchema, title: titleSchema, by: Type.String() })
