// A guide was set for a class.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { titleSchema } from './titleSchema.ts'

export const guideSet = object({ guideId: idSchema, title: titleSchema, className: Type.String() })
