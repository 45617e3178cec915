// A route as data: what it takes, who may call it, what it answers. Validation, access and OpenAPI all come from this.
import type { Actor, PersonActor } from '@valise/core/people'
import type { Static, TSchema } from 'typebox'
import type { Reader, Writable } from '../database/index.ts'
import type { FileAnswer } from './fileAnswer.ts'

/** Who may call a route; the service decides what they see. */
export type Who = 'anyone' | 'signed-in' | 'administrator'

export interface RouteSpec<
  W extends Who = Who,
  P extends TSchema = TSchema,
  Q extends TSchema = TSchema,
  B extends TSchema = TSchema,
  A extends TSchema = TSchema,
> {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete'
  /** With parameters in braces, as OpenAPI writes them. */
  readonly path: string
  readonly summary: string
  readonly who: W
  readonly params?: P
  readonly query?: Q
  readonly body?: B
  /** The schema of the answer; without one the answer is empty (204). */
  readonly answer?: A
  readonly status?: 200 | 201 | 202
  /** Writes to what others may change as well carry `If-Match: "r<revision>"`. */
  readonly needsRevision?: true
  /** The handler answers with a `FileAnswer`, which is sent as its bytes, whole or the part that was asked for. */
  readonly file?: true
  /** An `Idempotency-Key` makes the repeated request have one effect. */
  readonly idempotent?: true
}

/** The browser, as far as use cases need it. */
export interface Client {
  readonly address: string
  readonly userAgent: string
  /** The session cookie as it came. */
  readonly sessionToken: string | null
  /** The cookie of a device on which somebody signed in before, as it came. */
  readonly deviceToken: string | null
  /** The codes of the visitor links that were opened here, as they came. */
  readonly linkCodes: readonly string[]
  startSession(token: string, endsAt: string): void
  endSession(): void
  /** Gives the device a cookie by which it is known at the next sign-in. */
  rememberDevice(token: string): void
}

export interface Call<W extends Who, P, Q, B, S> {
  readonly services: S
  readonly reader: Reader
  /** Where to write: the database, or the transaction that an idempotency key opened. */
  readonly writable: Writable
  readonly actor: W extends 'anyone' ? Actor : PersonActor
  readonly client: Client
  readonly params: P
  readonly query: Q
  readonly body: B
  readonly revision: number
}

/** A route without the types of its schemas, as the router stores it. `S` are the services that it works with. */
export interface Route<S = object> {
  readonly spec: RouteSpec
  readonly handle: (call: Call<Who, never, never, never, S>) => Promise<unknown>
}

interface RouteMakers<S> {
  /** Binds a specification to its handler, whose types come from the schemas. */
  route<W extends Who, P extends TSchema, Q extends TSchema, B extends TSchema, A extends TSchema>(
    spec: RouteSpec<W, P, Q, B, A> & { readonly file?: never },
    handle: (
      call: Call<W, Static<P>, Static<Q>, Static<B>, S>,
    ) => Promise<[A] extends [never] ? void : Static<A>>,
  ): Route<S>
  /** Makes a route that answers with a file. */
  fileRoute<W extends Who, P extends TSchema>(
    spec: Omit<RouteSpec<W, P>, 'method' | 'answer' | 'file' | 'query' | 'body'>,
    handle: (call: Call<W, Static<P>, unknown, unknown, S>) => Promise<FileAnswer>,
  ): Route<S>
}

/**
 * Returns the functions that make the routes of a room which works with the services `S`. Whoever mounts them has to
 * bring these; the compiler sees to it.
 */
export function routesWith<S>(): RouteMakers<S> {
  return {
    // The router hands over only what it has checked against the schemas above.
    route: (spec, handle) => ({ spec, handle: handle as Route<S>['handle'] }),
    fileRoute: (spec, handle) => ({
      spec: { ...spec, method: 'get', file: true },
      handle: handle as Route<S>['handle'],
    }),
  }
}

/** For rooms whose routes need no more than the database. */
export const { route } = routesWith<object>()
