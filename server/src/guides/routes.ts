// Guides over HTTP: what assessors write and follow, and the copies of students.
import {
  guideCopySchema,
  guideListSchema,
  guideProgressSchema,
  guideReadingSchema,
  guideSchemas,
  newFeedbackOnCopySchema,
  newGuideEntrySchema,
  stageOpeningSchema,
} from '@valise/core/guides'
import { AppError } from '@valise/core/problems'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { draftRoutes } from '../drafts/index.ts'
import { route, routesWith } from '../http/index.ts'
import { offeredRoutes } from '../offers/index.ts'
import * as copies from './copyService.ts'
import { copyRoom } from './copyRoom.ts'
import { changeOpening, getProgress } from './followService.ts'
import { guideRoom } from './guideRoom.ts'
import { findInstructionFile } from './instructions.ts'
import { listGuides } from './listService.ts'
import { findCopyFile, giveFeedback, readCopy } from './readService.ts'

const { fileRoute } = routesWith<object>()

const started = object({ id: idSchema })
const piece = Type.String({ maxLength: 80 })
const byPiece = object({ id: idSchema, piece, handOut: piece })
const byPagePiece = object({ id: idSchema, pageId: idSchema, piece, handOut: piece })
const COPY = '/api/guide-copies/{id}'

function found<T>(value: T | null): T {
  if (value === null) throw new AppError('not-found', 'not-found')
  return value
}

export const guideRoutes = [
  ...offeredRoutes({ path: '/api/guides', name: 'guide' }, guideSchemas, guideRoom),
  ...draftRoutes(COPY, copyRoom),
  route(
    {
      method: 'get',
      path: '/api/guide-copies',
      summary: 'The guides that are set for my classes, and those that I began, with how far I have come',
      who: 'signed-in',
      answer: guideListSchema,
    },
    ({ reader, actor }) => listGuides(reader, actor),
  ),
  route(
    {
      method: 'post',
      path: '/api/guides/{id}/copies',
      summary: 'Start a guide; whoever started it before gets the same copy',
      who: 'signed-in',
      params: byId,
      body: object({}),
      answer: started,
    },
    ({ writable, actor, params }) => copies.startCopy(writable, actor, params.id),
  ),
  fileRoute(
    {
      path: '/api/guides/{id}/pieces/{piece}/{handOut}',
      summary: 'A file of an instruction',
      who: 'signed-in',
      params: byPiece,
    },
    async ({ reader, actor, params }) => found(await findInstructionFile(reader, actor, params)),
  ),
  route(
    {
      method: 'get',
      path: '/api/guides/{id}/classes/{classId}',
      summary: 'How far a class of mine has come with a guide',
      who: 'signed-in',
      params: object({ id: idSchema, classId: idSchema }),
      answer: guideProgressSchema,
    },
    ({ reader, actor, params }) => getProgress(reader, actor, params.id, params.classId),
  ),
  route(
    {
      method: 'put',
      path: '/api/guides/{id}/openings',
      summary: 'Open a stage by hand for a class of mine, or take that back',
      who: 'signed-in',
      params: byId,
      body: stageOpeningSchema,
      answer: guideProgressSchema,
    },
    ({ writable, actor, params, body }) => changeOpening(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'get',
      path: COPY,
      summary: 'My copy of a guide, to work in',
      who: 'signed-in',
      params: byId,
      answer: guideCopySchema,
    },
    ({ reader, actor, params }) => copies.getCopy(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: `${COPY}/logbook`,
      summary: 'Write the entries of my copy into this logbook from now on',
      who: 'signed-in',
      params: byId,
      body: object({ logbookId: idSchema }),
      answer: guideCopySchema,
    },
    ({ writable, actor, params, body }) => copies.chooseLogbook(writable, actor, params.id, body.logbookId),
  ),
  route(
    {
      method: 'post',
      path: `${COPY}/entries`,
      summary: 'Write an entry for a question of my copy; it lies in its logbook and stands in the copy',
      who: 'signed-in',
      params: byId,
      body: newGuideEntrySchema,
      answer: started,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, params, body }) => copies.createGuideEntry(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'get',
      path: `${COPY}/reading`,
      summary: 'A copy as its readers see it: one that I follow, or my own',
      who: 'signed-in',
      params: byId,
      answer: guideReadingSchema,
    },
    ({ reader, actor, params }) => readCopy(reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: `${COPY}/feedback`,
      summary: 'Say something about an answer, a stage or the whole of a copy that I follow',
      who: 'signed-in',
      params: byId,
      body: newFeedbackOnCopySchema,
      answer: guideReadingSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, params, body }) => giveFeedback(writable, actor, params.id, body),
  ),
  fileRoute(
    {
      path: `${COPY}/pieces/{piece}/{handOut}`,
      summary: 'A file that a copy hands out to its readers',
      who: 'signed-in',
      params: byPiece,
    },
    async ({ reader, actor, params }) =>
      found(await findCopyFile(reader, actor, { ...params, pageId: null })),
  ),
  fileRoute(
    {
      path: `${COPY}/pages/{pageId}/{piece}/{handOut}`,
      summary: 'A file that a page in a copy hands out to its readers',
      who: 'signed-in',
      params: byPagePiece,
    },
    async ({ reader, actor, params }) => found(await findCopyFile(reader, actor, params)),
  ),
]
