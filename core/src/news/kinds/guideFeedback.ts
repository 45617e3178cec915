// Somebody said something about a copy of a guide.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'

export const guideFeedback = object({ copyId: idSchema, title: Type.String(), by: Type.String() })
