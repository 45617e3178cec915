// Somebody’s password is another one now.
import { object } from '../../schemas/index.ts'

export const passwordChanged = object({})
