// Finding again over HTTP: the list of a query, the counts beside its filters, queries under a name, tags; and what is
// done with many items at once.
import {
  evidenceCountsSchema,
  evidencePageSchema,
  foundIdsSchema,
  manySchema,
  newSavedQuerySchema,
  readEvidenceQuery,
  renamedTagSchema,
  rightsForManySchema,
  savedQueriesSchema,
  savedQuerySchema,
  tagsForManySchema,
  tagsInUseSchema,
} from '@valise/core/evidence'
import type { queryNames } from '@valise/core/evidence'
import { idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import type { TSchema } from 'typebox'
import { countAnswer, route } from '../http/index.ts'
import { countThings } from '../things/index.ts'
import { countItems, findIds, findItems } from './queryStore.ts'
import { createSavedQuery, removeSavedQuery } from './savedQueryService.ts'
import { listSavedQueries } from './savedQueryStore.ts'
import * as service from './service.ts'
import { listTags } from './tagStore.ts'

const PAGE = 60

const pageQuery = {
  cursor: Type.Optional(Type.String({ maxLength: 600 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
}
const text = (maxLength: number) => Type.Optional(Type.String({ maxLength }))
const asked = {
  words: text(400),
  kind: text(400),
  tag: text(2000),
  tagged: text(10),
  class: text(60),
  from: text(10),
  until: text(10),
  only: text(100),
  like: text(60),
  order: text(20),
} satisfies Record<(typeof queryNames)[number], TSchema>

export const queryRoutes = [
  route(
    {
      method: 'get',
      path: '/api/evidence',
      summary: 'My evidence that a query finds, in its order',
      who: 'signed-in',
      query: object({ ...asked, ...pageQuery }),
      answer: evidencePageSchema,
    },
    ({ reader, actor, query: { cursor, limit, ...parameters } }) =>
      findItems(reader, actor, readEvidenceQuery(parameters), { cursor, limit: limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/counts',
      summary: 'What stands beside the filters of a query',
      who: 'signed-in',
      query: object(asked),
      answer: evidenceCountsSchema,
    },
    ({ reader, actor, query }) => countItems(reader, actor, readEvidenceQuery(query)),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/ids',
      summary: 'The ids of all that a query finds',
      who: 'signed-in',
      query: object(asked),
      answer: foundIdsSchema,
    },
    async ({ reader, actor, query }) => ({ ids: await findIds(reader, actor, readEvidenceQuery(query)) }),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/tags',
      summary: 'My tags, those used most first',
      who: 'signed-in',
      answer: tagsInUseSchema,
    },
    ({ reader, actor }) => listTags(reader, actor),
  ),
  route(
    {
      method: 'put',
      path: '/api/evidence/tags',
      summary: 'Call a tag otherwise everywhere; a name in use makes two tags one',
      who: 'signed-in',
      body: renamedTagSchema,
    },
    ({ writable, actor, body }) => service.renameTag(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/count',
      summary: 'How many items I have',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countThings(reader, actor, 'evidence') }),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/queries',
      summary: 'Queries that I keep under a name',
      who: 'signed-in',
      answer: savedQueriesSchema,
    },
    ({ reader, actor }) => listSavedQueries(reader, actor),
  ),
  route(
    {
      method: 'post',
      path: '/api/evidence/queries',
      summary: 'Save a search under a name; under the same name it is replaced',
      who: 'signed-in',
      body: newSavedQuerySchema,
      answer: savedQuerySchema,
      status: 201,
    },
    ({ writable, actor, body }) => createSavedQuery(writable, actor, body),
  ),
  route(
    {
      method: 'delete',
      path: '/api/evidence/queries/{id}',
      summary: 'Let a kept query go',
      who: 'signed-in',
      params: object({ id: idSchema }),
    },
    ({ writable, actor, params }) => removeSavedQuery(writable, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/evidence/rights',
      summary: 'Declare the rights of several items at once',
      who: 'signed-in',
      body: rightsForManySchema,
    },
    ({ writable, actor, body }) => service.declareRights(writable, actor, body),
  ),
  route(
    {
      method: 'put',
      path: '/api/evidence/tagged',
      summary: 'Put tags on several items at once',
      who: 'signed-in',
      body: tagsForManySchema,
    },
    ({ writable, actor, body }) => service.tagMany(writable, actor, body),
  ),
  route(
    { method: 'put', path: '/api/tray', summary: 'Pick several up', who: 'signed-in', body: manySchema },
    ({ writable, actor, body }) => service.carryMany(writable, actor, body.ids),
  ),
]
