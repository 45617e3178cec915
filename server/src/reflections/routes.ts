// Logbooks and entries over HTTP.
import {
  entryChangeSchema,
  entryListSchema,
  entrySchema,
  logbookListSchema,
  logbookSchema,
  newEntrySchema,
  newLogbookSchema,
} from '@valise/core/reflections'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { draftRoutes } from '../drafts/index.ts'
import { countAnswer, route } from '../http/index.ts'
import { countThings } from '../things/index.ts'
import * as service from './service.ts'
import { listEntries, listLogbooks } from './store.ts'

const PAGE = 40

export const reflectionRoutes = [
  route(
    {
      method: 'get',
      path: '/api/logbooks',
      summary: 'My logbooks, the oldest first',
      who: 'signed-in',
      answer: logbookListSchema,
    },
    ({ reader, actor }) => listLogbooks(reader, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/logbooks/count',
      summary: 'How many logbooks I have',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countThings(reader, actor, 'logbook') }),
  ),
  route(
    {
      method: 'post',
      path: '/api/logbooks',
      summary: 'Begin a logbook',
      who: 'signed-in',
      body: newLogbookSchema,
      answer: logbookSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createLogbook(writable, actor, body.title),
  ),
  route(
    {
      method: 'get',
      path: '/api/logbooks/{id}',
      summary: 'One logbook',
      who: 'signed-in',
      params: byId,
      answer: logbookSchema,
    },
    ({ reader, actor, params }) => service.getLogbook(reader, actor, params.id),
  ),
  route(
    {
      method: 'patch',
      path: '/api/logbooks/{id}',
      summary: 'Give a logbook another title',
      who: 'signed-in',
      params: byId,
      body: newLogbookSchema,
      answer: logbookSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.renameLogbook(writable, actor, params.id, { revision, title: body.title }),
  ),
  route(
    {
      method: 'post',
      path: '/api/logbooks/{id}/entries',
      summary: 'Begin an entry',
      who: 'signed-in',
      params: byId,
      body: newEntrySchema,
      answer: entrySchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, params, body }) => service.createEntry(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/entries',
      summary: 'My entries, the newest day first; of one logbook, or of all',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
        logbookId: Type.Optional(idSchema),
      }),
      answer: entryListSchema,
    },
    ({ reader, actor, query }) =>
      listEntries(reader, actor, query.logbookId ?? null, {
        cursor: query.cursor,
        limit: query.limit ?? PAGE,
      }),
  ),
  route(
    {
      method: 'get',
      path: '/api/entries/{id}',
      summary: 'One entry with its words and evidence',
      who: 'signed-in',
      params: byId,
      answer: entrySchema,
    },
    ({ reader, actor, params }) => service.getEntry(reader, actor, params.id),
  ),
  route(
    {
      method: 'patch',
      path: '/api/entries/{id}',
      summary: 'Change the day of an entry',
      who: 'signed-in',
      params: byId,
      body: entryChangeSchema,
      answer: entrySchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.dateEntry(writable, actor, params.id, { revision, day: body.day }),
  ),
  ...draftRoutes('/api/entries/{id}', service.entryRoom),
]
