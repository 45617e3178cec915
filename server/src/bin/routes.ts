// The bin over HTTP: the same routes for everything that a person owns.
import { binEffectsSchema, binListSchema } from '@valise/core/bin'
import { manySchema } from '@valise/core/evidence'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import {
  findBinEffects,
  listBin,
  putIntoBin,
  putManyIntoBin,
  removeForGood,
  takeOutOfBin,
} from './service.ts'
import type { BinServices } from './services.ts'

const { route } = routesWith<BinServices>()

const PAGE = 60

export const binRoutes = [
  route(
    {
      method: 'get',
      path: '/api/bin',
      summary: 'What I put into the bin, last first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 600 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: binListSchema,
    },
    ({ reader, actor, query }) =>
      listBin(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'put',
      path: '/api/bin',
      summary: 'Put several things into the bin',
      who: 'signed-in',
      body: manySchema,
    },
    ({ writable, actor, body }) => putManyIntoBin(writable, actor, body.ids),
  ),
  route(
    {
      method: 'put',
      path: '/api/things/{id}/bin',
      summary: 'Put into the bin, where it stays for 30 days; nobody else sees it any more',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => putIntoBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/things/{id}/bin',
      summary: 'Take out of the bin',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => takeOutOfBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/things/{id}/bin/effects',
      summary: 'What putting a thing of mine into the bin would take from others',
      who: 'signed-in',
      params: byId,
      answer: binEffectsSchema,
    },
    ({ reader, actor, params }) => findBinEffects(reader, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/things/{id}',
      summary: 'Remove for good what is in the bin, or what is still as it was begun',
      who: 'signed-in',
      params: byId,
    },
    ({ services, writable, actor, params }) => removeForGood(writable, services.jobs, actor, params.id),
  ),
]
