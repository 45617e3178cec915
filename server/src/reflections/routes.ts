// Logbooks and entries over HTTP.
import {
  entryChangeSchema,
  entryListSchema,
  entryMoveSchema,
  entryQuerySchema,
  entryReadingSchema,
  entrySchema,
  facetsQuerySchema,
  logbookChangeSchema,
  logbookFacetsSchema,
  logbookListSchema,
  logbookSchema,
  newEntrySchema,
  newLogbookSchema,
} from '@valise/core/reflections'
import { byId } from '@valise/core/schemas'
import { draftRoutes } from '../drafts/index.ts'
import { countAnswer, route } from '../http/index.ts'
import { countThings } from '../things/index.ts'
import * as service from './service.ts'
import { listEntries } from './entryStore.ts'
import { listLogbooks } from './logbookStore.ts'

const PAGE = 20
const READ_AT_ONCE = 10

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
      summary: 'Change the title, summary, cover, usual questions or class of a logbook',
      who: 'signed-in',
      params: byId,
      body: logbookChangeSchema,
      answer: logbookSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.changeLogbook(writable, actor, params.id, { revision, change: body }),
  ),
  route(
    {
      method: 'get',
      path: '/api/logbooks/{id}/facets',
      summary: 'What the entries of a logbook can be narrowed to, and which days have some',
      who: 'signed-in',
      params: byId,
      query: facetsQuerySchema,
      answer: logbookFacetsSchema,
    },
    ({ reader, actor, params, query }) => service.getFacets(reader, actor, params.id, query.until ?? null),
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
      summary:
        'My entries by day; of one logbook, or of all, narrowed by words, tag, days, questions or mark',
      who: 'signed-in',
      query: entryQuerySchema,
      answer: entryListSchema,
    },
    async ({ reader, actor, query: { cursor, limit = PAGE, ...wish } }) => {
      const { items, ...list } = await listEntries(reader, actor, wish, { cursor, limit })
      return { items: [...items], ...list }
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/entries/reading',
      summary: 'My entries with all that they show, to be read one after the other',
      who: 'signed-in',
      query: entryQuerySchema,
      answer: entryReadingSchema,
    },
    ({ reader, actor, query: { cursor, limit = READ_AT_ONCE, ...wish } }) =>
      service.readEntries(reader, actor, wish, { cursor, limit: Math.min(limit, READ_AT_ONCE) }),
  ),
  route(
    {
      method: 'post',
      path: '/api/entries/moved',
      summary: 'Move entries into another logbook',
      who: 'signed-in',
      body: entryMoveSchema,
    },
    ({ writable, actor, body }) => service.moveEntries(writable, actor, body),
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
      summary: 'Change the day or the tags of an entry',
      who: 'signed-in',
      params: byId,
      body: entryChangeSchema,
      answer: entrySchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.changeEntry(writable, actor, params.id, { revision, change: body }),
  ),
  ...draftRoutes('/api/entries/{id}', service.entryRoom),
]
