// Classes, for their members and for administrators.
import { classDetailSchema, classInputSchema, classSchema } from '@valise/core/classes'
import { byId } from '@valise/core/schemas'
import { Type } from 'typebox'
import { route } from '../http/index.ts'
import * as service from './service.ts'

export const classRoutes = [
  route(
    {
      method: 'get',
      path: '/api/classes',
      summary: 'My classes; for administrators all',
      who: 'signed-in',
      answer: Type.Array(classSchema),
    },
    ({ reader, actor }) => service.listMyClasses(reader, actor),
  ),
  route(
    {
      method: 'post',
      path: '/api/classes',
      summary: 'Add a class',
      who: 'administrator',
      body: classInputSchema,
      answer: classSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createClass(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/classes/{id}',
      summary: 'One class with the people in it',
      who: 'signed-in',
      params: byId,
      answer: classDetailSchema,
    },
    ({ reader, actor, params }) => service.getClassDetail(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/classes/{id}',
      summary: 'Change a class',
      who: 'administrator',
      params: byId,
      body: classInputSchema,
      answer: classSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.updateClass(writable, actor, params.id, revision, body),
  ),
]
