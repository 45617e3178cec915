// Turns routes (data) into handlers: who asks, may they, is it well-formed, do it, answer.
import { getConnInfo } from '@hono/node-server/conninfo'
import { AppError } from '@valise/core/problems'
import { unknownActor } from '@valise/core/people'
import type { Actor, PersonActor } from '@valise/core/people'
import { minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import type { Context, Hono } from 'hono'
import { getCookie, setCookie, deleteCookie } from 'hono/cookie'
import type { Database, Reader } from '../database/index.ts'
import type { FileStore } from '../files/index.ts'
import type { RequestLog } from '../log/index.ts'
import { isDiskFull } from '../system/index.ts'
import { readBodyText } from './bodyBytes.ts'
import { answerFile } from './fileAnswer.ts'
import type { FileAnswer } from './fileAnswer.ts'
import { answerIdempotently } from './idempotency.ts'
import type { StoredAnswer } from './idempotency.ts'
import { answerJson } from './jsonAnswer.ts'
import { SESSION_COOKIE } from './problemDetails.ts'
import type { Call, Client, Route, RouteSpec, Who } from './route.ts'
import { assertAnswer, parseInput } from '../validation/index.ts'

const COOKIE = SESSION_COOKIE
/** Says that somebody signed in on this device before; it opens nothing by itself. */
const DEVICE_COOKIE = 'valise-device'
/** The longest that browsers allow. */
const DEVICE_DAYS = 400
/** The prefix of the cookie for each link that this browser opened; the id of its pass follows. */
export const LINK_COOKIE = 'valise-link-'
/** More links than this are passed over; nobody holds as many at once. */
const MOST_LINKS = 20

interface Authenticated {
  readonly actor: PersonActor
  /** Notes that the person was seen just now; null while the last note is fresh. */
  readonly noteSeen: (() => Promise<void>) | null
}

/** Finds the person of a session token, or null for an ended or unknown one. */
export type Authenticate = (reader: Reader, token: string) => Promise<Authenticated | null>

/** What answering takes, whatever the route does. */
export interface HttpServices {
  readonly config: {
    readonly publicAddress: string
    /** Whether the address of the client stands in X-Forwarded-For, set by a proxy of one's own. */
    readonly behindProxy: boolean
  }
  readonly database: Database
  readonly files: FileStore
  readonly log: RequestLog
}

export interface MountOptions {
  readonly authenticate: Authenticate
  /** Tests hold every answer against its schema. */
  readonly checkAnswers: boolean
}

export function mountRoutes<S extends HttpServices>(
  app: Hono,
  services: S,
  routes: readonly Route<S>[],
  options: MountOptions,
): void {
  for (const route of routes) {
    const path = route.spec.path.replace(/\{(\w+)\}/g, ':$1')
    app.on(route.spec.method.toUpperCase(), path, (c) => answer(c, services, route, options))
  }
}

async function answer<S extends HttpServices>(
  c: Context,
  services: S,
  route: Route<S>,
  options: MountOptions,
): Promise<Response> {
  const { spec } = route
  const reader = services.database.reader()
  const { client, session, actor } = await findCaller(c, services, reader, options.authenticate)
  assertMayCall(spec.who, actor)
  const call = await readCall(c, { services, reader, client, actor }, spec)
  const result = await runCall(c, call, route, actor)
  // What the page asks by itself (fresh news, say) is no sign that somebody sits there.
  if (session?.noteSeen && !c.req.header('valise-background')) await noteSeen(services, session.noteSeen)
  // A route with `file` answers with one: `fileRoute` sees to it.
  if (spec.file) return answerFile(c.req.raw, services.files, result.body as FileAnswer)
  c.header('cache-control', 'no-store')
  c.header('valise-time', reader.now)
  if (!spec.answer) return c.body(null, 204)
  if (options.checkAnswers) assertAnswer(spec.answer, result.body)
  return answerJson(c, result.body, spec.status ?? 200)
}

async function findCaller(c: Context, services: HttpServices, reader: Reader, authenticate: Authenticate) {
  const client = clientOf(c, services)
  const token = client.sessionToken
  const session = token === null ? null : await authenticate(reader, token)
  return { client, session, actor: session?.actor ?? unknownActor }
}

/** Returns who is signed in, for handlers that are not routes. Counts as activity of the session. */
export async function getSignedIn(
  c: Context,
  services: HttpServices,
  authenticate: Authenticate,
): Promise<PersonActor> {
  const { session } = await findCaller(c, services, services.database.reader(), authenticate)
  if (session === null) throw new AppError('signed-out', 'signed-out')
  if (session.noteSeen) await noteSeen(services, session.noteSeen)
  return session.actor
}

/** On a full disk nothing can be noted, but what is there can be read. */
async function noteSeen({ log }: HttpServices, note: () => Promise<void>): Promise<void> {
  await note().catch((error: unknown) => {
    if (!isDiskFull(error)) throw error
    log.failed('seen', error)
  })
}

function assertMayCall(who: Who, actor: Actor): void {
  if (who === 'anyone') return
  if (actor.kind !== 'person') throw new AppError('signed-out', 'signed-out')
  if (who === 'administrator' && !actor.administrator) throw new AppError('forbidden', 'only-administrators')
}

type AnyCall<S> = Call<Who, never, never, never, S>

async function readCall<S extends HttpServices>(
  c: Context,
  known: Pick<AnyCall<S>, 'services' | 'reader' | 'client'> & { actor: Actor },
  spec: RouteSpec,
): Promise<AnyCall<S>> {
  const call = {
    ...known,
    writable: known.services.database,
    params: spec.params ? parseParams(spec.params, c.req.param()) : {},
    query: spec.query ? parseInput(spec.query, { ...c.req.query() }, true) : {},
    revision: spec.needsRevision ? readRevision(c.req.header('if-match')) : 0,
    body: spec.body ? parseInput(spec.body, await readJson(c)) : undefined,
  }
  // Each part was checked against the schema that the handler's types come from.
  return call as unknown as AnyCall<S>
}

/** An address that is not even well-formed leads to the same nothing as one of a thing that is not there. */
function parseParams(schema: NonNullable<Route['spec']['params']>, params: unknown): unknown {
  try {
    return parseInput(schema, params, true)
  } catch (cause) {
    throw new AppError('not-found', 'not-found', { cause })
  }
}

async function runCall<S extends HttpServices>(
  c: Context,
  call: AnyCall<S>,
  route: Route<S>,
  actor: Actor,
): Promise<StoredAnswer> {
  const status = route.spec.status ?? 200
  const key = route.spec.idempotent ? c.req.header('idempotency-key') : undefined
  if (key === undefined || actor.kind !== 'person') return { status, body: await route.handle(call) }
  if (key.length < 8 || key.length > 100) throw new AppError('invalid', 'invalid-input')
  const fingerprint = JSON.stringify([c.req.method, c.req.path, call.body])
  return answerIdempotently(
    call.services.database,
    { personId: actor.personId, key, fingerprint },
    async (trx) => ({
      status,
      body: await route.handle({ ...call, writable: trx, reader: trx }),
    }),
  )
}

async function readJson(c: Context): Promise<unknown> {
  const type = c.req.header('content-type') ?? ''
  if (!/^application\/(json|merge-patch\+json)\b/.test(type))
    throw new AppError('unsupported', 'unsupported-type')
  const text = await readBodyText(c)
  try {
    return JSON.parse(text)
  } catch (cause) {
    throw new AppError('invalid', 'not-json', { cause })
  }
}

function readRevision(header: string | undefined): number {
  const match = /^"r(\d{1,12})"$/.exec(header ?? '')
  if (!match) throw new AppError('needs-revision', 'needs-revision')
  return Number(match[1])
}

function clientOf(c: Context, services: HttpServices): Client {
  const secure = services.config.publicAddress.startsWith('https:')
  return {
    address: addressOf(c, services.config.behindProxy),
    userAgent: c.req.header('user-agent') ?? '',
    sessionToken: getCookie(c, COOKIE) ?? null,
    deviceToken: getCookie(c, DEVICE_COOKIE) ?? null,
    linkCodes: Object.entries(getCookie(c))
      .flatMap(([name, code]) => (name.startsWith(LINK_COOKIE) ? [code] : []))
      .slice(0, MOST_LINKS),
    startSession: (token: string, endsAt: Instant) =>
      setCookie(c, COOKIE, token, {
        httpOnly: true,
        sameSite: 'Lax',
        path: '/',
        secure,
        // As a span: the clock of the device may be another.
        maxAge: Math.floor(minutesBetween(services.database.clock.now(), endsAt) * 60),
      }),
    endSession: () => deleteCookie(c, COOKIE, { path: '/', secure }),
    rememberDevice: (token: string) =>
      setCookie(c, DEVICE_COOKIE, token, {
        httpOnly: true,
        sameSite: 'Lax',
        path: '/api',
        secure,
        maxAge: DEVICE_DAYS * 24 * 3600,
      }),
  }
}

function addressOf(c: Context, behindProxy: boolean): string {
  // A proxy of one's own appends the address it saw; what stands before that was written by anybody.
  if (behindProxy) return c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim() ?? 'unknown'
  // Tests call the app without a socket.
  return c.env?.incoming ? (getConnInfo(c).remote.address ?? 'unknown') : 'unknown'
}
