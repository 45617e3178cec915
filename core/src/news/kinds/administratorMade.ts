// Somebody administers the school from now on.
import { Type } from 'typebox'

export const administratorMade = Type.Object({}, { additionalProperties: false })
