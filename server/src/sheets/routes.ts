// Question sheets over HTTP.
import { byId, object } from '@valise/core/schemas'
import {
  newSheetSchema,
  ownSheetSchema,
  sheetChangeSchema,
  sheetListSchema,
  sheetOffersSchema,
  sheetVersionSchema,
} from '@valise/core/sheets'
import { route } from '../http/index.ts'
import * as service from './service.ts'

export const sheetRoutes = [
  route(
    {
      method: 'get',
      path: '/api/sheets',
      summary: 'The question sheets that I can use: mine, those offered to my classes, those that ship',
      who: 'signed-in',
      answer: sheetListSchema,
    },
    ({ reader, actor }) => service.listSheets(reader, actor),
  ),
  route(
    {
      method: 'post',
      path: '/api/sheets',
      summary: 'Begin a question sheet, empty or as a copy',
      who: 'signed-in',
      body: newSheetSchema,
      answer: ownSheetSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createSheet(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/sheets/{id}',
      summary: 'A question sheet of mine, as I am writing it',
      who: 'signed-in',
      params: byId,
      answer: ownSheetSchema,
    },
    ({ reader, actor, params }) => service.getOwnSheet(reader, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/sheets/{id}/newest',
      summary: 'The newest version of a question sheet that I can use',
      who: 'signed-in',
      params: byId,
      answer: sheetVersionSchema,
    },
    ({ reader, actor, params }) => service.getTakable(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/sheets/{id}',
      summary: 'Save a question sheet as it is now',
      who: 'signed-in',
      params: byId,
      body: sheetChangeSchema,
      answer: ownSheetSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.saveSheet(writable, actor, params.id, { revision, content: body.content }),
  ),
  route(
    {
      method: 'post',
      path: '/api/sheets/{id}/versions',
      summary: 'Publish what stands on a question sheet now',
      who: 'signed-in',
      params: byId,
      body: object({}),
      answer: ownSheetSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision }) => service.publishSheet(writable, actor, params.id, revision),
  ),
  route(
    {
      method: 'put',
      path: '/api/sheets/{id}/offers',
      summary: 'Offer a question sheet to these classes of mine, and to no others',
      who: 'signed-in',
      params: byId,
      body: sheetOffersSchema,
      answer: ownSheetSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.offerSheet(writable, actor, params.id, { revision, classIds: body.classIds }),
  ),
]
