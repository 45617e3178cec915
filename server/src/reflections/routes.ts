// Logbooks and entries over HTTP.
import { draftSchema, editAnswerSchema, editSchema } from '@valise/core/pages'
import { idSchema } from '@valise/core/people'
import {
  entryChangeSchema,
  entryListSchema,
  entrySchema,
  logbookListSchema,
  logbookSchema,
  newEntrySchema,
  newLogbookSchema,
} from '@valise/core/reflections'
import { Type } from 'typebox'
import { route } from '../http/index.ts'
import * as service from './service.ts'
import { countLogbooks, listEntries, listLogbooks } from './store.ts'

const PAGE = 40

const object = <T extends Parameters<typeof Type.Object>[0]>(properties: T) =>
  Type.Object(properties, { additionalProperties: false })
const byId = object({ id: idSchema })
const byOther = object({ id: idSchema, otherId: idSchema })

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
      answer: object({ kept: Type.Integer() }),
    },
    async ({ reader, actor }) => ({ kept: await countLogbooks(reader, actor) }),
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
      once: true,
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
      method: 'delete',
      path: '/api/logbooks/{id}',
      summary: 'Remove an empty logbook',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.removeLogbook(writable, actor, params.id),
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
      once: true,
    },
    ({ writable, actor, params, body }) => service.createEntry(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/entries',
      summary: 'My entries, the newest day first; of one logbook, or those in the bin',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
        logbookId: Type.Optional(idSchema),
        shelf: Type.Optional(Type.Enum(['kept', 'bin'])),
      }),
      answer: entryListSchema,
    },
    ({ reader, actor, query }) =>
      listEntries(
        reader,
        actor,
        { logbookId: query.logbookId ?? null, shelf: query.shelf ?? 'kept' },
        { cursor: query.cursor, limit: query.limit ?? PAGE },
      ),
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
  route(
    {
      method: 'post',
      path: '/api/entries/{id}/edits',
      summary: 'Keep an edit of the entry; edits of other windows are joined, and the same piece is refused',
      who: 'signed-in',
      params: byId,
      body: editSchema,
      answer: editAnswerSchema,
    },
    ({ writable, actor, params, body }) => service.editEntry(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/entries/{id}/other-versions/{otherId}',
      summary: 'Put a version that lost in the place of the one that stands',
      who: 'signed-in',
      params: byOther,
      answer: draftSchema,
    },
    ({ writable, actor, params }) => service.takeOther(writable, actor, params.id, params.otherId),
  ),
  route(
    {
      method: 'delete',
      path: '/api/entries/{id}/other-versions/{otherId}',
      summary: 'Remove a version that lost',
      who: 'signed-in',
      params: byOther,
    },
    ({ writable, actor, params }) => service.removeOther(writable, actor, params.id, params.otherId),
  ),
  route(
    {
      method: 'put',
      path: '/api/entries/{id}/bin',
      summary: 'Put into the bin, where it stays for 30 days',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.putEntryIntoBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/entries/{id}/bin',
      summary: 'Take out of the bin',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.takeEntryOutOfBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/entries/{id}',
      summary: 'Remove for good what is in the bin',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.removeEntry(writable, actor, params.id),
  ),
]
