// Into the bin, out of it, and away for good: the same three routes for everything that has a bin of its own.
import { idSchema } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { Type } from 'typebox'
import type { Writable } from '../database/index.ts'
import { route } from '../http/index.ts'
import type { Route } from '../http/index.ts'

type Act = (on: Writable, actor: PersonActor, id: string) => Promise<void>

export interface BinActs {
  /** Putting what lies there already leaves it there, with its day. */
  readonly putIn: Act
  readonly takeOut: Act
  /** Removes for good what is in the bin, before its days are over. */
  readonly remove: Act
}

/**
 * Makes the routes of the bin for one thing. @param path the path of the thing, such as `/api/pages/{id}`
 */
export function binRoutes(path: string, { putIn, takeOut, remove }: BinActs): Route[] {
  const shared = {
    who: 'signed-in',
    params: Type.Object({ id: idSchema }, { additionalProperties: false }),
  } as const
  return [
    route(
      {
        ...shared,
        method: 'put',
        path: `${path}/bin`,
        summary: 'Put into the bin, where it stays for 30 days; nobody else sees it any more',
      },
      ({ writable, actor, params }) => putIn(writable, actor, params.id),
    ),
    route(
      { ...shared, method: 'delete', path: `${path}/bin`, summary: 'Take out of the bin' },
      ({ writable, actor, params }) => takeOut(writable, actor, params.id),
    ),
    route(
      { ...shared, method: 'delete', path, summary: 'Remove for good what is in the bin' },
      ({ writable, actor, params }) => remove(writable, actor, params.id),
    ),
  ]
}
