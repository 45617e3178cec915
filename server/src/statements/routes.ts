// What is said of evidence, over HTTP.
import { byId } from '@valise/core/schemas'
import { newStatementSchema, statementSchema } from '@valise/core/statements'
import { draftRoutes } from '../drafts/index.ts'
import { route } from '../http/index.ts'
import * as service from './service.ts'

export const statementRoutes = [
  route(
    {
      method: 'get',
      path: '/api/evidence/{id}/statement',
      summary: 'What I say of one of my items, as I write it',
      who: 'signed-in',
      params: byId,
      answer: statementSchema,
    },
    ({ reader, actor, params }) => service.getStatement(reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/evidence/{id}/statement',
      summary: 'Begin to say something of an item; begun again, it is the same',
      who: 'signed-in',
      params: byId,
      body: newStatementSchema,
      answer: statementSchema,
    },
    ({ writable, actor, params, body }) => service.beginStatement(writable, actor, params.id, body),
  ),
  ...draftRoutes('/api/evidence/{id}/statement', service.statementRoom),
]
