// An assessor asked for changes.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const changesAsked = object({ submissionId: idSchema, title: titleSchema, by: Type.String() })
