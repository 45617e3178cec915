// Coming in and going out: sign-in, sessions and their ends, one's own password and settings.
import { AppError } from '@valise/core/problems'
import {
  decidePassword,
  resolveShownName,
  sessionEndsAt,
  staffSessionLimits,
  toSignInKey,
} from '@valise/core/people'
import type { Actor, MySession, OpenSession, PersonActor, Preferences, SignIn } from '@valise/core/people'
import { addMinutes, minutesBetween } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { tellNews } from '../feedback/index.ts'
import { assertWithinLimits, bucketOf, countTry, forgetTries } from '../http/index.ts'
import type { Client, RateLimit } from '../http/index.ts'
import { hashToken, newToken } from '../keys.ts'
import { appendRecord } from '../records/index.ts'
import type { Services } from '../services.ts'
import { nameDevice } from './nameDevice.ts'
import * as store from './sessionStore.ts'
import type { SignInRow } from './sessionStore.ts'

const SEEN_EVERY_MINUTES = 1

/** Finds who holds a session token. */
export async function authenticate(services: Services, reader: Reader, token: string) {
  const row = await store.findSession(reader, hashToken(token))
  if (!row) return null
  const memberships = await store.listPresentClasses(reader, row.personId)
  const actor: PersonActor = {
    kind: 'person',
    personId: row.personId,
    sessionId: row.id,
    administrator: row.administrator === 1,
    memberships: memberships.map(({ classId, role }) => ({ classId, role })),
  }
  const isFresh = minutesBetween(row.lastSeenAt, reader.now) < SEEN_EVERY_MINUTES
  return { actor, noteSeen: isFresh ? null : () => noteSeen(services, row) }
}

async function noteSeen(services: Services, row: store.SessionRow): Promise<void> {
  await inTransaction(services.database, async (trx) => {
    const person = await store.findSignInPerson(trx, { id: row.personId })
    if (!person) return
    const limits = store.limitsOf(person, staffSessionLimits)
    await store.updateSessionSeen(trx, row.id, sessionEndsAt(row.startedAt, trx.now, limits))
  })
}

/** Who I am to Valise, or that nobody is signed in here. */
export async function getMySession(reader: Reader, actor: Actor): Promise<MySession> {
  if (actor.kind !== 'person') return { state: 'signed-out' }
  const person = await getSignInPerson(reader, actor.personId)
  const limits = store.limitsOf(person, staffSessionLimits)
  return {
    state: 'signed-in',
    personId: person.id,
    fullName: person.fullName,
    firstName: person.firstName,
    shownName: resolveShownName(person, person.shownNameRule),
    administrator: person.administrator === 1,
    memberships: await store.listPresentClasses(reader, person.id),
    language: person.language,
    letterKeys: person.letterKeys === 1,
    hasPassword: person.hash !== null,
    idleMinutes: limits.idleMinutes,
    endsAt: await store.getSessionEnd(reader, actor.sessionId),
  }
}

/**
 * Signs in with a password.
 *
 * Wrong names and wrong passwords get one answer after one time. Tries are counted by account and by address; a class
 * sits behind one address, so that limit is wide.
 */
export async function signIn(
  services: Services,
  reader: Reader,
  client: Client,
  input: SignIn,
): Promise<MySession> {
  const key = toSignInKey(input.signInName)
  const limits = signInLimits(services, key, client.address)
  await assertWithinLimits(reader, Object.values(limits))
  const person = await store.findSignInPerson(reader, { signInKey: key })
  const isRight = await services.passwords.verify(person?.hash ?? null, input.password)
  if (!isRight || person?.endedAt !== null) {
    await countTry(services.database, Object.values(limits))
    await recordRefusal(services, person)
    throw new AppError('signed-out', 'wrong-sign-in')
  }
  await forgetTries(services.database, limits.account.bucket)
  return startSession(services, client, person.id)
}

/** Starts a session for somebody who has proved who they are; a session that the browser held ends (rotation). */
export async function startSession(services: Services, client: Client, personId: string): Promise<MySession> {
  const token = newToken()
  const { session, endsAt } = await inTransaction(services.database, async (trx) => {
    if (client.sessionToken !== null) await store.endSessionWithToken(trx, hashToken(client.sessionToken))
    const person = await getSignInPerson(trx, personId)
    const limits = store.limitsOf(person, staffSessionLimits)
    const endsAt = sessionEndsAt(trx.now, trx.now, limits)
    const device = nameDevice(client.userAgent)
    const sessionId = await store.insertSession(trx, {
      tokenHash: hashToken(token),
      personId,
      device,
      endsAt,
    })
    const memberships = await store.listPresentClasses(trx, personId)
    const administrator = person.administrator === 1
    const actor: PersonActor = { kind: 'person', personId, sessionId, administrator, memberships }
    await appendRecord(trx, actor, { action: 'signed-in', subject: 'person', subjectId: personId })
    // The cookie outlives the idle limit: the absolute one is what the browser is told.
    return { session: await getMySession(trx, actor), endsAt: addMinutes(trx.now, limits.absoluteMinutes) }
  })
  client.startSession(token, endsAt)
  return session
}

export async function signOut(on: Writable, client: Client, actor: Actor): Promise<void> {
  if (actor.kind === 'person') {
    await inTransaction(on, async (trx) => {
      await store.endSession(trx, actor.personId, actor.sessionId)
      await appendRecord(trx, actor, { action: 'signed-out', subject: 'person', subjectId: actor.personId })
    })
  }
  client.endSession()
}

export async function listOpenSessions(reader: Reader, actor: PersonActor): Promise<OpenSession[]> {
  const rows = await store.listSessions(reader, actor.personId)
  return rows.map((row) => ({ ...row, here: row.id === actor.sessionId }))
}

/** Ends one of my sessions, or all but this one. */
export function endOtherSessions(on: Writable, actor: PersonActor, id: string | null): Promise<void> {
  return inTransaction(on, async (trx) => {
    if (id === null) await store.endSessionsOf(trx, actor.personId, actor.sessionId)
    else if (!(await store.endSession(trx, actor.personId, id))) throw new AppError('not-found', 'not-found')
    await appendRecord(trx, actor, {
      action: 'signed-out-elsewhere',
      subject: 'person',
      subjectId: actor.personId,
    })
  })
}

/** Changes one's own password; every other session ends, since somebody else may hold one. */
export async function changePassword(
  services: Services,
  reader: Reader,
  actor: PersonActor,
  input: { readonly present: string; readonly next: string },
): Promise<void> {
  const person = await getSignInPerson(reader, actor.personId)
  const limit = passwordLimit(services, actor.personId)
  await assertWithinLimits(reader, [limit])
  if (!(await services.passwords.verify(person.hash, input.present))) {
    await countTry(services.database, [limit])
    throw new AppError('invalid', 'password-wrong', {
      fields: [{ path: '/present', reason: 'password-wrong' }],
    })
  }
  assertGoodPassword(person, input.next, '/next')
  const hash = await services.passwords.hash(input.next)
  await inTransaction(services.database, (trx) => keepPassword(trx, actor, person.id, hash, actor.sessionId))
}

/** Keeps a new password with its record and its news, and ends the person's sessions but the one given. */
export async function keepPassword(
  trx: Trx,
  actor: Actor,
  personId: string,
  hash: string,
  butSessionId: string | null,
): Promise<void> {
  const { hash: before } = await getSignInPerson(trx, personId)
  await store.savePassword(trx, personId, hash)
  await store.endSessionsOf(trx, personId, butSessionId)
  // Somebody who chooses their first password needs no warning that it changed.
  if (before !== null) await tellNews(trx, { personId, kind: 'password-changed', params: {} })
  await appendRecord(trx, actor, { action: 'password-changed', subject: 'person', subjectId: personId })
}

export function assertGoodPassword(person: SignInRow, password: string, path: string): void {
  const decision = decidePassword(password, [person.fullName, person.chosenName ?? '', person.signInName])
  if (decision.allowed) return
  const { reason, params } = decision
  throw new AppError('invalid', reason, { params, fields: [{ path, reason, params }] })
}

export function savePreferences(
  on: Writable,
  actor: PersonActor,
  preferences: Preferences,
): Promise<MySession> {
  return inTransaction(on, async (trx) => {
    const { language, letterKeys } = preferences
    await store.savePreferences(trx, actor.personId, {
      ...(language !== undefined && { language }),
      ...(letterKeys !== undefined && { letterKeys: Number(letterKeys) }),
    })
    return getMySession(trx, actor)
  })
}

async function getSignInPerson(reader: Reader, id: string): Promise<SignInRow> {
  const person = await store.findSignInPerson(reader, { id })
  if (!person) throw new AppError('not-found', 'not-found')
  return person
}

function recordRefusal(services: Services, person: SignInRow | null): Promise<void> {
  return inTransaction(services.database, (trx) =>
    appendRecord(
      trx,
      { kind: 'unknown' },
      { action: 'sign-in-refused', subject: 'person', subjectId: person?.id ?? null },
    ),
  )
}

function signInLimits(services: Services, key: string, address: string) {
  return {
    account: { bucket: bucketOf(services.keys, 'sign-in-account', key), most: 10, minutes: 15 },
    address: { bucket: bucketOf(services.keys, 'sign-in-address', address), most: 300, minutes: 15 },
  } satisfies Record<string, RateLimit>
}

function passwordLimit(services: Services, personId: string): RateLimit {
  return { bucket: bucketOf(services.keys, 'password', personId), most: 10, minutes: 15 }
}
