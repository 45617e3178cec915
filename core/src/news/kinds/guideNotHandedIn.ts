// A copy of a guide could not be handed in by itself.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'

export const guideNotHandedIn = object({ copyId: idSchema, title: Type.String() })
