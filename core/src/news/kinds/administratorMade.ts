// Somebody administers the school from now on.
import { object } from '../../schemas/index.ts'

export const administratorMade = object({})
