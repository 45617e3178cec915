// Sealed copies over HTTP: the queue, one copy and its parts, answers, and feedback.
import { mayStandInline } from '@valise/core/evidence'
import { feedbackListSchema, feedbackSchema, newFeedbackSchema } from '@valise/core/feedback'
import {
  copyCheckSchema,
  outcomeSchema,
  queueSchema,
  readingStepSchema,
  sealedPartSchema,
  submissionRowSchema,
  submissionSchema,
  undoneOutcomeSchema,
} from '@valise/core/submissions'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import type { PageWish } from '../database/index.ts'
import { countAnswer, routesWith } from '../http/index.ts'
import * as desk from './deskService.ts'
import { countReading, listReading } from './listStore.ts'
import { checkCopy } from './checkCopy.ts'
import { getSealedFile, getSealedPart, getSubmission } from './readService.ts'
import type { SubmissionServices } from './services.ts'

const { fileRoute, route } = routesWith<SubmissionServices>()

const PAGE = 60

const queueQuery = object({
  shelf: Type.Optional(Type.Enum(['to-read', 'read'])),
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
})

function wishOf({ cursor, limit }: { readonly cursor?: string; readonly limit?: number }): PageWish {
  return { cursor, limit: limit ?? PAGE }
}

export const deskRoutes = [
  route(
    {
      method: 'get',
      path: '/api/review-desk',
      summary: 'What I am to read, by assignment',
      who: 'signed-in',
      answer: Type.Array(readingStepSchema),
    },
    ({ reader, actor }) => listReading(reader, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/review-desk/count',
      summary: 'How many sealed copies I am to read',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countReading(reader, actor) }),
  ),
  route(
    {
      method: 'get',
      path: '/api/review-desk/queue',
      summary: 'What was handed in for any assignment that I read: to read, oldest first; read, newest first',
      who: 'signed-in',
      query: queueQuery,
      answer: queueSchema,
    },
    ({ reader, actor, query }) => desk.getQueue(reader, actor, null, query.shelf ?? 'to-read', wishOf(query)),
  ),
  route(
    {
      method: 'get',
      path: '/api/assignments/{id}/queue',
      summary: 'What was handed in for an assignment: to read, oldest first; read, newest first',
      who: 'signed-in',
      params: byId,
      query: queueQuery,
      answer: queueSchema,
    },
    ({ reader, actor, params, query }) =>
      desk.getQueue(reader, actor, params.id, query.shelf ?? 'to-read', wishOf(query)),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/{id}',
      summary: 'One hand-in: mine, or one that I may read as an assessor',
      who: 'signed-in',
      params: byId,
      answer: submissionSchema,
    },
    ({ reader, actor, params }) => getSubmission(reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/submissions/{id}/open',
      summary: 'Open a sealed copy as an assessor; the first time is written down and told',
      who: 'signed-in',
      params: byId,
      answer: submissionSchema,
    },
    ({ writable, actor, params }) => desk.openCopy(writable, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/{id}/parts/{n}',
      summary: 'One part as it was sealed, and what changed since',
      who: 'signed-in',
      params: object({ id: idSchema, n: Type.Integer({ minimum: 1, maximum: 1_000_000 }) }),
      answer: sealedPartSchema,
    },
    (call) => getSealedPart(call, call.params),
  ),
  fileRoute(
    {
      path: '/api/submissions/{id}/files/{file}',
      summary: 'A picture or file of a sealed copy',
      who: 'signed-in',
      params: object({ id: idSchema, file: Type.String({ maxLength: 120 }) }),
    },
    async ({ reader, actor, params }) => {
      const { fileSha256: sha256, bytes, mime } = await getSealedFile(reader, actor, params.id, params.file)
      return { sha256, bytes, mime, fileName: params.file, inline: mayStandInline(mime) }
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/{id}/check',
      summary: 'Hold every byte of a sealed copy against manifest, receipt and signature',
      who: 'signed-in',
      params: byId,
      answer: copyCheckSchema,
    },
    ({ services: { files, keys }, reader, actor, params }) =>
      checkCopy({ reader, files, keys }, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/submissions/{id}/outcome',
      summary:
        'Accept with one level of the scale, or ask for changes with a sentence; feedback may go along',
      who: 'signed-in',
      params: byId,
      body: outcomeSchema,
      answer: submissionSchema,
      needsRevision: true,
      idempotent: true,
    },
    ({ writable, actor, params, revision, body }) =>
      desk.answer(writable, actor, params.id, { revision, outcome: body }),
  ),
  route(
    {
      method: 'delete',
      path: '/api/submissions/{id}/outcome',
      summary: 'Undo my answer within a moment, and have back what it was',
      who: 'signed-in',
      params: byId,
      answer: undoneOutcomeSchema,
    },
    ({ writable, actor, params }) => desk.undoAnswer(writable, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/{id}/feedback',
      summary: 'All that was said on a hand-in, the oldest first',
      who: 'signed-in',
      params: byId,
      answer: feedbackListSchema,
    },
    ({ reader, actor, params }) => desk.listFeedback(reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/submissions/{id}/feedback',
      summary: 'Say something on a hand-in, or on one part of it',
      who: 'signed-in',
      params: byId,
      body: newFeedbackSchema,
      answer: feedbackListSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, params, body }) => desk.addFeedback(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/pages/{id}/feedback',
      summary: 'What was said on a page that I may look at; of my own also where I handed it in',
      who: 'signed-in',
      params: byId,
      answer: object({
        submissions: Type.Array(submissionRowSchema),
        feedback: Type.Array(feedbackSchema),
      }),
    },
    (call) => desk.listPageFeedback(call.reader, call, call.params.id),
  ),
]
