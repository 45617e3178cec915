// News: what happened to a person or to their things; the bell.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'
import { newsKinds, newsParams } from './newsParams.ts'
import type { NewsKind, NewsParams } from './newsParams.ts'

/** One piece of news, with what its sentence names. */
interface NewsOf<K extends NewsKind> {
  readonly id: string
  readonly kind: K
  readonly at: string
  readonly seen: boolean
  readonly params: NewsParams<K>
}
export type NewsItem = { [K in NewsKind]: NewsOf<K> }[NewsKind]

const newsItemSchema = Type.Unsafe<NewsItem>(
  Type.Union(
    newsKinds.map((kind) =>
      object({
        id: idSchema,
        kind: Type.Literal(kind),
        at: instantSchema,
        seen: Type.Boolean(),
        params: newsParams[kind],
      }),
    ),
  ),
)

export const newsPageSchema = object({
  items: Type.Array(newsItemSchema),
  unseen: Type.Integer(),
  next: Type.Union([Type.String(), Type.Null()]),
})
export type NewsPage = Static<typeof newsPageSchema>
