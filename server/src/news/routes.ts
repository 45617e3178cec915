// News: read one's own, and say that it was seen.
import { newsPageSchema } from '@valise/core/news'
import { idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { inTransaction } from '../database/index.ts'
import { route } from '../http/index.ts'
import { listNews, markNewsSeen } from './store.ts'

export const newsRoutes = [
  route(
    {
      method: 'get',
      path: '/api/news',
      summary: 'What happened to me, newest first',
      who: 'signed-in',
      query: object({ cursor: Type.Optional(Type.String({ maxLength: 400 })) }),
      answer: newsPageSchema,
    },
    ({ reader, actor, query }) => listNews(reader, actor.personId, query.cursor),
  ),
  route(
    {
      method: 'put',
      path: '/api/news/seen',
      summary: 'I have seen the news up to this one',
      who: 'signed-in',
      body: object({ upTo: idSchema }),
    },
    ({ writable, actor, body }) =>
      inTransaction(writable, (trx) => markNewsSeen(trx, actor.personId, body.upTo)),
  ),
]
