// Self-ratings over HTTP.
import { ratedSetsSchema, ratingListSchema, ratingQuerySchema } from '@valise/core/ratings'
import { route } from '../http/index.ts'
import { listRatedSets, listRatings } from './store.ts'

const PAGE = 200

export const ratingRoutes = [
  route(
    {
      method: 'get',
      path: '/api/ratings',
      summary: 'My self-ratings by one set of attributes, the oldest first',
      who: 'signed-in',
      query: ratingQuerySchema,
      answer: ratingListSchema,
    },
    ({ reader, actor, query: { setId, cursor, limit = PAGE } }) =>
      listRatings(reader, actor, setId, { cursor, limit }),
  ),
  route(
    {
      method: 'get',
      path: '/api/ratings/sets',
      summary: 'The sets of attributes that I rated myself by, the latest first',
      who: 'signed-in',
      answer: ratedSetsSchema,
    },
    ({ reader, actor }) => listRatedSets(reader, actor),
  ),
]
