// News: what happened to a person or to their things; the bell.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema } from '../people/index.ts'
import { instantSchema } from '../time/index.ts'

export const newsKinds = [
  'joined-class',
  'left-class',
  'password-changed',
  'administrator-made',
  'shared-with-me',
  'assignment-set',
  'copy-sealed',
  'sealing-failed',
  'copy-opened',
  'changes-asked',
  'work-accepted',
  'feedback-given',
] as const
export type NewsKind = (typeof newsKinds)[number]

export const newsItemSchema = Type.Object(
  {
    id: idSchema,
    kind: Type.Enum([...newsKinds]),
    at: instantSchema,
    seen: Type.Boolean(),
    params: Type.Record(Type.String(), Type.String(), { description: 'What the sentence names' }),
  },
  { additionalProperties: false },
)
export type NewsItem = Static<typeof newsItemSchema>

export const newsPageSchema = Type.Object(
  {
    items: Type.Array(newsItemSchema),
    unseen: Type.Integer(),
    next: Type.Union([Type.String(), Type.Null()]),
  },
  { additionalProperties: false },
)
export type NewsPage = Static<typeof newsPageSchema>
