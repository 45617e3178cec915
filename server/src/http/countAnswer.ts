// The answer of a route that counts the things of one place.
import { Type } from 'typebox'
import type { Static } from 'typebox'

/** `live` counts what is not in the bin. */
export const countAnswer = Type.Object({ live: Type.Integer() }, { additionalProperties: false })
export type CountAnswer = Static<typeof countAnswer>
