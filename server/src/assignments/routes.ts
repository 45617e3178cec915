// Assignments over HTTP: those that I assess, one of them, setting, changing and ending them.
import {
  assignmentInputSchema,
  assignmentListSchema,
  assignmentSchema,
  newAssignmentSchema,
} from '@valise/core/assignments'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { countAnswer, route } from '../http/index.ts'
import * as service from './service.ts'
import { countAssignments, listAssignments } from './store.ts'

const PAGE = 60

const endRoute = (method: 'put' | 'delete') =>
  route(
    {
      method,
      path: '/api/assignments/{id}/end',
      summary: method === 'put' ? 'End an assignment: nobody can hand in any more' : 'Open it again',
      who: 'signed-in',
      params: byId,
      answer: assignmentSchema,
    },
    ({ writable, actor, params }) => service.endAssignment(writable, actor, params.id, method === 'put'),
  )

export const assignmentRoutes = [
  route(
    {
      method: 'get',
      path: '/api/assignments',
      summary: 'The assignments of the classes that I assess, what was set last first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: assignmentListSchema,
    },
    ({ reader, actor, query }) =>
      listAssignments(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/assignments/count',
      summary: 'How many of them are running',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countAssignments(reader, actor) }),
  ),
  route(
    {
      method: 'post',
      path: '/api/assignments',
      summary: 'Set an assignment for a class',
      who: 'signed-in',
      body: newAssignmentSchema,
      answer: assignmentSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.setAssignment(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/assignments/{id}',
      summary: 'One assignment of a class that I am in',
      who: 'signed-in',
      params: byId,
      answer: assignmentSchema,
    },
    ({ reader, actor, params }) => service.getAssignment(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/assignments/{id}',
      summary: 'Change an assignment',
      who: 'signed-in',
      params: byId,
      body: assignmentInputSchema,
      answer: assignmentSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.changeAssignment(writable, actor, params.id, revision, body),
  ),
  route(
    {
      method: 'delete',
      path: '/api/assignments/{id}',
      summary: 'Remove an assignment for which nothing was handed in',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.removeAssignment(writable, actor, params.id),
  ),
  endRoute('put'),
  endRoute('delete'),
]
