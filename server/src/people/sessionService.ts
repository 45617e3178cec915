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
import { tellNews } from '../news/index.ts'
import { bucketOf, countTry, forgetTries } from '../http/index.ts'
import type { Client, RateLimit } from '../http/index.ts'
import { hashToken, newToken } from '../system/index.ts'
import type { ServerKeys } from '../system/index.ts'
import { appendRecord } from '../records/index.ts'
import type { PeopleServices } from './services.ts'
import { nameDevice } from './nameDevice.ts'
import * as store from './sessionStore.ts'
import type { SignInRow } from './sessionStore.ts'

const SEEN_EVERY_MINUTES = 1

/** Finds the person of a session token. */
export async function authenticate(services: PeopleServices, reader: Reader, token: string) {
  const found = await store.findSession(reader, hashToken(token))
  if (!found) return null
  const { session: row, memberships } = found
  const actor: PersonActor = {
    kind: 'person',
    personId: row.personId,
    sessionId: row.id,
    administrator: row.administrator === 1,
    memberships,
  }
  const isFresh = minutesBetween(row.lastSeenAt, reader.now) < SEEN_EVERY_MINUTES
  return { actor, noteSeen: isFresh ? null : () => noteSeen(services, row) }
}

async function noteSeen(services: PeopleServices, row: store.SessionRow): Promise<void> {
  await inTransaction(services.database, async (trx) => {
    const person = await store.findSignInPerson(trx, { id: row.personId })
    if (!person) return
    const limits = store.limitsOf(person, staffSessionLimits)
    await store.updateSessionSeen(trx, row.id, sessionEndsAt(row.startedAt, trx.now, limits))
  })
}

/** Returns the caller's session, or that nobody is signed in. */
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
    showsWeek: person.showsWeek === 1,
    hasPassword: person.hash !== null,
    idleMinutes: limits.idleMinutes,
    endsAt: await store.getSessionEnd(reader, actor.sessionId),
  }
}

/**
 * Signs in with a password.
 *
 * Wrong names and wrong passwords get the same answer after the same time. Attempts are counted before the password
 * is checked, see `signInLimits`.
 */
export async function signIn(
  services: PeopleServices,
  reader: Reader,
  client: Client,
  input: SignIn,
): Promise<MySession> {
  const key = toSignInKey(input.signInName)
  const person = await store.findSignInPerson(reader, { signInKey: key })
  const device = client.deviceToken === null ? null : hashToken(client.deviceToken)
  const isKnown = person !== null && device !== null && (await store.isKnownDevice(reader, person.id, device))
  const limits = signInLimits(services.keys, key, client.address, isKnown ? device : null)
  await countTry(services.database, [...limits.own, ...limits.shared])
  const isRight = await services.passwords.verify(person?.hash ?? null, input.password)
  if (!isRight || person?.endedAt !== null) {
    await recordRefusal(services, person)
    throw new AppError('signed-out', 'wrong-sign-in')
  }
  await forgetTries(services.database, limits)
  return startSession(services, client, person.id)
}

/** Starts a session for an authenticated person; the browser's previous session ends (rotation). */
export async function startSession(
  services: PeopleServices,
  client: Client,
  personId: string,
): Promise<MySession> {
  const token = newToken()
  const deviceToken = client.deviceToken ?? newToken()
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
    await store.rememberDevice(trx, personId, hashToken(deviceToken))
    const memberships = await store.listPresentClasses(trx, personId)
    const administrator = person.administrator === 1
    const actor: PersonActor = { kind: 'person', personId, sessionId, administrator, memberships }
    await appendRecord(trx, actor, { action: 'signed-in', subject: 'person', subjectId: personId })
    // The cookie outlives the idle limit: its lifetime is the absolute one.
    return { session: await getMySession(trx, actor), endsAt: addMinutes(trx.now, limits.absoluteMinutes) }
  })
  client.startSession(token, endsAt)
  client.rememberDevice(deviceToken)
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

/** Ends one of the caller's sessions, or all but this one. */
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

/** Changes the caller's password; all other sessions end, since somebody else may hold one. */
export async function changePassword(
  services: PeopleServices,
  reader: Reader,
  actor: PersonActor,
  input: { readonly present: string; readonly next: string },
): Promise<void> {
  const person = await getSignInPerson(reader, actor.personId)
  const limit = passwordLimit(services, actor.personId)
  await countTry(services.database, [limit])
  if (!(await services.passwords.verify(person.hash, input.present))) {
    throw new AppError('invalid', 'password-wrong', {
      fields: [{ path: '/present', reason: 'password-wrong' }],
    })
  }
  await forgetTries(services.database, { own: [limit], shared: [] })
  assertGoodPassword(person, input.next, '/next')
  const hash = await services.passwords.hash(input.next)
  await inTransaction(services.database, (trx) => setPassword(trx, actor, person.id, hash, actor.sessionId))
}

/** Saves a new password with its record and its news, and ends the person's sessions except the given one. */
export async function setPassword(
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
    const { language, letterKeys, showsWeek } = preferences
    await store.savePreferences(trx, actor.personId, {
      ...(language !== undefined && { language }),
      ...(letterKeys !== undefined && { letterKeys: Number(letterKeys) }),
      ...(showsWeek !== undefined && { showsWeek: Number(showsWeek) }),
    })
    return getMySession(trx, actor)
  })
}

async function getSignInPerson(reader: Reader, id: string): Promise<SignInRow> {
  const person = await store.findSignInPerson(reader, { id })
  if (!person) throw new AppError('not-found', 'not-found')
  return person
}

function recordRefusal(services: PeopleServices, person: SignInRow | null): Promise<void> {
  return inTransaction(services.database, (trx) =>
    appendRecord(
      trx,
      { kind: 'unknown' },
      { action: 'sign-in-refused', subject: 'person', subjectId: person?.id ?? null },
    ),
  )
}

/**
 * What a try to sign in is counted against, so that nobody can lock out another person, or a whole school behind one
 * address.
 *
 * A device on which the person signed in before has a count of its own: whatever others try elsewhere, it has its way
 * in. All other tries are counted by account and address, more widely by account, and by address with a wait of a
 * minute at most.
 */
function signInLimits(keys: ServerKeys, key: string, address: string, knownDevice: string | null) {
  const limit = (purpose: string, text: string, waits: Omit<RateLimit, 'bucket'>): RateLimit => ({
    bucket: bucketOf(keys, purpose, text),
    ...waits,
  })
  const own = { free: 10, firstWaitMinutes: 1, longestWaitMinutes: 60, minutes: 24 * 60 }
  if (knownDevice !== null)
    return {
      own: [limit('sign-in-device', `${key}\0${knownDevice}`, { ...own, longestWaitMinutes: 15 })],
      shared: [],
    }
  return {
    own: [limit('sign-in-account', `${key}\0${address}`, own)],
    shared: [
      limit('sign-in-anywhere', key, { ...own, free: 100 }),
      limit('sign-in-address', address, {
        ...{ free: 300, firstWaitMinutes: 0.1, longestWaitMinutes: 1, minutes: 60 },
      }),
    ],
  }
}

function passwordLimit(services: PeopleServices, personId: string): RateLimit {
  return {
    bucket: bucketOf(services.keys, 'password', personId),
    ...{ free: 10, firstWaitMinutes: 1, longestWaitMinutes: 15, minutes: 60 },
  }
}
