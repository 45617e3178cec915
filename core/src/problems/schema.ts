// What a refusal looks like on the wire: problem details after RFC 9457, with our own members.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../schemas/index.ts'
import { errorCodes } from './errorCodes.ts'

const params = Type.Record(Type.String(), Type.Union([Type.String(), Type.Number()]))

export const problemSchema = object({
  type: Type.String({ description: 'A URN that names the kind of problem' }),
  title: Type.String({ description: 'The kind of problem in a few words, the same for all of its kind' }),
  detail: Type.String({ description: 'What happened here and what to do, for a person, in English' }),
  status: Type.Integer(),
  code: Type.Enum([...errorCodes]),
  reason: Type.String({ description: 'A stable key; translations hang on it' }),
  params,
  errors: Type.Optional(
    Type.Array(object({ path: Type.String(), reason: Type.String(), params: Type.Optional(params) })),
  ),
  request: Type.Optional(Type.String({ description: 'The number under which the log knows this request' })),
})

export type Problem = Static<typeof problemSchema>
