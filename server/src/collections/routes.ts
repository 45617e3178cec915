// Collections over HTTP: the author's list, one collection and its changes, and how others read it.
import { readCollectionSchema } from '@valise/core/access'
import {
  collectionChangeSchema,
  collectionListSchema,
  collectionSchema,
  newCollectionSchema,
} from '@valise/core/collections'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { findViewer } from '../access/index.ts'
import { countAnswer, routesWith } from '../http/index.ts'
import { countThings } from '../things/index.ts'
import { readCollection } from './readStore.ts'
import * as service from './service.ts'
import { listCollections } from './store.ts'
import type { AccessServices } from '../access/index.ts'

const { route } = routesWith<AccessServices>()

const PAGE = 60

export const collectionRoutes = [
  route(
    {
      method: 'get',
      path: '/api/collections',
      summary: 'My collections, what was changed last first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: collectionListSchema,
    },
    ({ reader, actor, query }) =>
      listCollections(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/collections/count',
      summary: 'How many collections I have',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countThings(reader, actor, 'collection') }),
  ),
  route(
    {
      method: 'post',
      path: '/api/collections',
      summary: 'Begin a collection',
      who: 'signed-in',
      body: newCollectionSchema,
      answer: collectionSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createCollection(writable, actor, body.title),
  ),
  route(
    {
      method: 'get',
      path: '/api/collections/{id}',
      summary: 'One collection of mine, with everything that lies in it',
      who: 'signed-in',
      params: byId,
      answer: collectionSchema,
    },
    ({ reader, actor, params }) => service.getCollection(reader, actor, params.id),
  ),
  route(
    {
      method: 'patch',
      path: '/api/collections/{id}',
      summary: 'Change what lies in a collection, in which order; takes effect at once',
      who: 'signed-in',
      params: byId,
      body: collectionChangeSchema,
      answer: collectionSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.changeCollection(writable, actor, params.id, { revision, operations: body.operations }),
  ),
  route(
    {
      method: 'get',
      path: '/api/collections/{id}/read',
      summary: 'A collection as others read it',
      who: 'anyone',
      params: byId,
      answer: readCollectionSchema,
    },
    async (call) => readCollection(call.reader, await findViewer(call), call.params.id),
  ),
]
