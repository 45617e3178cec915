// The routes of a kind of offered things, which are the same for every kind.
import { newOfferedSchema, offeredListSchema, offersSchema } from '@valise/core/offers'
import type { OfferedContent, offeredSchemas } from '@valise/core/offers'
import { byId, object } from '@valise/core/schemas'
import { route } from '../http/index.ts'
import type { Route } from '../http/index.ts'
import type { OfferedRoom } from './offeredRoom.ts'

interface Named {
  /** The address of all of them. */
  readonly path: string
  /** As descriptions call one of them. */
  readonly name: string
}

export function offeredRoutes<C extends OfferedContent>(
  { path, name }: Named,
  schemas: ReturnType<typeof offeredSchemas<C>>,
  room: OfferedRoom<C>,
): Route[] {
  const one = `${path}/{id}`
  return [
    route(
      {
        method: 'get',
        path,
        summary: `Every ${name} that I can use: mine, my classes', the school's, those that ship`,
        who: 'signed-in',
        answer: offeredListSchema,
      },
      ({ reader, actor }) => room.list(reader, actor),
    ),
    route(
      {
        method: 'post',
        path,
        summary: `Begin a ${name}, empty or as a copy`,
        who: 'signed-in',
        body: newOfferedSchema,
        answer: schemas.own,
        status: 201,
        idempotent: true,
      },
      ({ writable, actor, body }) => room.create(writable, actor, body),
    ),
    route(
      {
        method: 'get',
        path: one,
        summary: `A ${name} that I write, as it stands`,
        who: 'signed-in',
        params: byId,
        answer: schemas.own,
      },
      ({ reader, actor, params }) => room.getOwn(reader, actor, params.id),
    ),
    route(
      {
        method: 'get',
        path: `${one}/newest`,
        summary: `The newest version of a ${name} that I can use`,
        who: 'signed-in',
        params: byId,
        answer: schemas.version,
      },
      ({ reader, actor, params }) => room.getNewest(reader, actor, params.id),
    ),
    route(
      {
        method: 'put',
        path: one,
        summary: `Save a ${name} as it is now`,
        who: 'signed-in',
        params: byId,
        body: schemas.change,
        answer: schemas.own,
        needsRevision: true,
      },
      ({ writable, actor, params, revision, body }) =>
        room.save(writable, actor, { id: params.id, revision, to: body.content }),
    ),
    route(
      {
        method: 'post',
        path: `${one}/versions`,
        summary: `Publish what stands in a ${name} now`,
        who: 'signed-in',
        params: byId,
        body: object({}),
        answer: schemas.own,
        needsRevision: true,
      },
      ({ writable, actor, params, revision }) => room.publish(writable, actor, { id: params.id, revision }),
    ),
    route(
      {
        method: 'put',
        path: `${one}/offers`,
        summary: `Offer a ${name} to these classes of mine and to no others; administrators also to the school`,
        who: 'signed-in',
        params: byId,
        body: offersSchema,
        answer: schemas.own,
        needsRevision: true,
      },
      ({ writable, actor, params, revision, body }) =>
        room.offer(writable, actor, { id: params.id, revision, to: body }),
    ),
  ]
}
