// Handing in over HTTP: the choice of parts, the act, one's own hand-ins, the receipt, and today's plan.
import {
  choiceChangeSchema,
  handingInSchema,
  handInSchema,
  submissionListSchema,
  submissionRowSchema,
  todaySchema,
} from '@valise/core/submissions'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { countAnswer, routesWith } from '../http/index.ts'
import * as service from './handInService.ts'
import { countOwnSubmissions, listOwnSubmissions } from './listStore.ts'
import { getReceipt } from './readService.ts'
import { getToday } from './todayService.ts'
import type { SubmissionServices } from './services.ts'

const { route } = routesWith<SubmissionServices>()

const PAGE = 60

export const handInRoutes = [
  route(
    {
      method: 'get',
      path: '/api/today',
      summary: 'What to do next: assignments of mine with what is missing, and what I am to read',
      who: 'signed-in',
      answer: todaySchema,
    },
    ({ reader, actor }) => getToday(reader, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/assignments/{id}/hand-in',
      summary: 'What I chose to hand in, and its readiness',
      who: 'signed-in',
      params: byId,
      answer: handInSchema,
    },
    ({ reader, actor, params }) => service.getHandIn(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/assignments/{id}/hand-in',
      summary: 'Choose what goes in',
      who: 'signed-in',
      params: byId,
      body: choiceChangeSchema,
      answer: handInSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.changeChoice(writable, actor, params.id, { revision, parts: body.parts }),
  ),
  route(
    {
      method: 'post',
      path: '/api/assignments/{id}/submissions',
      summary: 'Hand in what I chose; it is sealed from now on',
      who: 'signed-in',
      params: byId,
      body: handingInSchema,
      answer: submissionRowSchema,
      status: 202,
      needsRevision: true,
      idempotent: true,
    },
    ({ services, writable, actor, params, revision, body }) =>
      service.handIn(writable, services.jobs, actor, params.id, { revision, seen: body }),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions',
      summary: 'What I handed in, the newest first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: submissionListSchema,
    },
    ({ reader, actor, query }) =>
      listOwnSubmissions(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/count',
      summary: 'How often I handed something in',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countOwnSubmissions(reader, actor) }),
  ),
  route(
    {
      method: 'post',
      path: '/api/submissions/{id}/take-back',
      summary: 'Undo a hand-in that nobody has opened',
      who: 'signed-in',
      params: byId,
      answer: submissionRowSchema,
    },
    ({ writable, actor, params }) => service.takeBack(writable, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/submissions/{id}/receipt',
      summary: 'The signed receipt of a hand-in of mine, with the manifest that it names',
      who: 'signed-in',
      params: byId,
      answer: object({
        receipt: Type.String({ description: 'Canonical JSON (RFC 8785); these bytes are signed' }),
        signature: Type.String({ description: 'Ed25519 (RFC 8032), in base64url' }),
        publicKey: Type.String({ description: 'SPKI in PEM' }),
        manifest: Type.String({ description: 'Canonical JSON; its SHA-256 is in the receipt' }),
      }),
    },
    ({ services, reader, actor, params }) =>
      getReceipt({ reader, files: services.files, publicKey: services.keys.publicKey }, actor, params.id),
  ),
]
