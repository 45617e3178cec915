// The answer of a route that counts the things of one place.
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'
import type { Static } from 'typebox'

/** `live` counts what is not in the bin. */
export const countAnswer = object({ live: Type.Integer() })
export type CountAnswer = Static<typeof countAnswer>
