// Pages over HTTP: the author's list, one page, edits of its draft, publishing, and what was published.
import { readPageSchema } from '@valise/core/access'
import { newPageSchema, pageListSchema, pageSchema } from '@valise/core/pages'
import { AppError } from '@valise/core/problems'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { findViewer } from '../access/index.ts'
import { draftRoutes } from '../drafts/index.ts'
import { countAnswer, routesWith } from '../http/index.ts'
import { countThings } from '../things/index.ts'
import { findHandedOut } from './handOut.ts'
import * as service from './service.ts'
import { listPages } from './store.ts'
import type { AccessServices } from '../access/index.ts'

const { fileRoute, route } = routesWith<AccessServices>()

const PAGE = 60

const byHandOut = object({
  id: idSchema,
  n: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
  piece: Type.String({ maxLength: 40 }),
  handOut: Type.String({ maxLength: 80 }),
})

export const pageRoutes = [
  route(
    {
      method: 'get',
      path: '/api/pages',
      summary: 'My pages, what was changed last first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: pageListSchema,
    },
    ({ reader, actor, query }) =>
      listPages(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/pages/count',
      summary: 'How many pages I have',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countThings(reader, actor, 'page') }),
  ),
  route(
    {
      method: 'post',
      path: '/api/pages',
      summary: 'Begin a page',
      who: 'signed-in',
      body: newPageSchema,
      answer: pageSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createPage(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/pages/{id}',
      summary: 'One page: its draft, and what is published of it',
      who: 'signed-in',
      params: byId,
      answer: pageSchema,
    },
    ({ reader, actor, params }) => service.getPage(reader, actor, params.id),
  ),
  ...draftRoutes('/api/pages/{id}', service.pageRoom),
  route(
    {
      method: 'post',
      path: '/api/pages/{id}/published',
      summary: 'Publish the draft as it was last seen',
      who: 'signed-in',
      params: byId,
      answer: pageSchema,
      status: 201,
      needsRevision: true,
    },
    ({ writable, actor, params, revision }) => service.publishPage(writable, actor, params.id, revision),
  ),
  route(
    {
      method: 'get',
      path: '/api/pages/{id}/published',
      summary: 'The page as others see it',
      who: 'anyone',
      params: byId,
      answer: readPageSchema,
    },
    async (call) => service.readPage(call.reader, await findViewer(call), call.params.id),
  ),
  fileRoute(
    {
      path: '/api/pages/{id}/published/{n}/pieces/{piece}/{handOut}',
      summary: 'A file that a published piece hands out to its readers',
      who: 'anyone',
      params: byHandOut,
    },
    async (call) => {
      const { reader, params } = call
      const wanted = { pageId: params.id, n: params.n, pieceId: params.piece, name: params.handOut }
      const found = await service.findPublishedFile(reader, await findViewer(call), wanted)
      const file = found && (await findHandedOut(reader, found))
      if (!file) throw new AppError('not-found', 'not-found')
      return file
    },
  ),
]
