// Somebody’s password is another one now.
import { Type } from 'typebox'

export const passwordChanged = Type.Object({}, { additionalProperties: false })
