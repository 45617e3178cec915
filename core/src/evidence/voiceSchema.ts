// A voice over a thing: a recording that speaks of an item, and the moments at which it points at something in it.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { LATEST_MOMENT_MS, LONGEST_MOMENT, MOST_MOMENTS } from './valueLists.ts'

const pixel = Type.Number({ minimum: -100_000, maximum: 100_000 })

const momentSchema = object({
  atMs: Type.Integer({ minimum: 0, maximum: LATEST_MOMENT_MS, description: 'Of the recording' }),
  spot: Type.Union([Type.Tuple([pixel, pixel]), Type.Null()], {
    description: 'In pixels of the original, upright',
  }),
  filmMs: Type.Union([Type.Integer({ minimum: 0, maximum: LATEST_MOMENT_MS }), Type.Null()], {
    description: 'Of the film that it speaks of',
  }),
  words: Type.String({ maxLength: LONGEST_MOMENT }),
})
export type Moment = Static<typeof momentSchema>

export const momentsSchema = Type.Array(momentSchema, {
  maxItems: MOST_MOMENTS,
  description: 'In the order of time',
})

export const voiceSchema = object({
  id: idSchema,
  n: Type.Integer({ description: 'The version of the recording' }),
  title: Type.String(),
  durationMs: Type.Union([Type.Integer(), Type.Null()]),
  moments: momentsSchema,
  revision: Type.Integer(),
})
export type Voice = Static<typeof voiceSchema>
