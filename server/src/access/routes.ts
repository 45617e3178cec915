// Sharing over HTTP: passes and whom they may be for, looking at one's things as others do, and what others opened.
import {
  audiencesSchema,
  lookAsSchema,
  newPassSchema,
  sharedWithMeListSchema,
  passChangeSchema,
  passSchema,
  seenBySchema,
  sharingSchema,
} from '@valise/core/access'
import { AppError } from '@valise/core/problems'
import { instantSchema } from '@valise/core/time'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { countAnswer, routesWith } from '../http/index.ts'
import { findOwnThing } from '../things/index.ts'
import { countSeers } from './audienceStore.ts'
import { countSharedWithMe, listSharedWithMe } from './sharedWithMeStore.ts'
import * as service from './service.ts'
import { listOwnPlaces, listOwnShared } from './ownSharingStore.ts'
import type { AccessServices } from './viewer.ts'

const { route } = routesWith<AccessServices>()

const PAGE = 60

export const accessRoutes = [
  route(
    {
      method: 'get',
      path: '/api/sharing',
      summary: 'My pages and collections, where they lie, and every pass on them',
      who: 'signed-in',
      answer: sharingSchema,
    },
    async ({ services, reader, actor }) => ({
      things: await listOwnShared(reader, actor),
      places: await listOwnPlaces(reader, actor),
      passes: await service.listPasses(reader, services.keys, actor),
    }),
  ),
  route(
    {
      method: 'get',
      path: '/api/sharing/audiences',
      summary: 'Whom I may open things to',
      who: 'signed-in',
      answer: audiencesSchema,
    },
    ({ reader, actor }) => service.getAudiences(reader, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/sharing/look-as',
      summary: 'My things as a person, or whoever holds a link of mine, meets them at a moment',
      who: 'signed-in',
      query: object({
        personId: Type.Optional(idSchema),
        passId: Type.Optional(idSchema),
        at: Type.Optional(instantSchema),
      }),
      answer: lookAsSchema,
    },
    ({ reader, actor, query }) => service.lookAs(reader, actor, query),
  ),
  route(
    {
      method: 'post',
      path: '/api/passes',
      summary: 'Give a pass',
      who: 'signed-in',
      body: newPassSchema,
      answer: passSchema,
      status: 201,
      idempotent: true,
    },
    ({ services, writable, actor, body }) => service.givePass(writable, services.keys, actor, body),
  ),
  route(
    {
      method: 'patch',
      path: '/api/passes/{id}',
      summary: 'Change from when until when a pass runs',
      who: 'signed-in',
      params: byId,
      body: passChangeSchema,
      answer: passSchema,
      needsRevision: true,
    },
    ({ services, writable, actor, params, revision, body }) =>
      service.changePass(writable, services.keys, actor, params.id, { revision, days: body }),
  ),
  route(
    {
      method: 'post',
      path: '/api/passes/{id}/end',
      summary: 'End a pass now',
      who: 'signed-in',
      params: byId,
      answer: passSchema,
    },
    ({ services, writable, actor, params }) => service.endPass(writable, services.keys, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/passes/{id}/address',
      summary: 'Give a visitor link a new address; the one before opens nothing any more',
      who: 'signed-in',
      params: byId,
      answer: passSchema,
    },
    ({ services, writable, actor, params }) => service.renewLink(writable, services.keys, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/shared-with-me',
      summary: 'What others opened to me, the newest first',
      who: 'signed-in',
      query: object({
        cursor: Type.Optional(Type.String({ maxLength: 400 })),
        limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      }),
      answer: sharedWithMeListSchema,
    },
    ({ reader, actor, query }) =>
      listSharedWithMe(reader, actor, { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/shared-with-me/count',
      summary: 'How many things others opened to me',
      who: 'signed-in',
      answer: countAnswer,
    },
    async ({ reader, actor }) => ({ live: await countSharedWithMe(reader, actor) }),
  ),
  route(
    {
      method: 'get',
      path: '/api/things/{id}/seen-by',
      summary: 'How many people and links can see a thing of mine now',
      who: 'signed-in',
      params: byId,
      answer: seenBySchema,
    },
    async ({ reader, actor, params }) => {
      const thing = await findOwnThing(reader, actor, params.id)
      if (!thing) throw new AppError('not-found', 'not-found')
      return thing.binnedAt === null ? countSeers(reader, actor, params.id) : { people: 0, links: 0 }
    },
  ),
]
