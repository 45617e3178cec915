// Sessions, passwords and sign-in links in the database. Only hashes of tokens are stored.
import type { ClassRole, Language, SessionLimits } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import { prepareRead } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { isPresent, peopleNow } from './presenceStore.ts'

export interface SessionRow {
  readonly id: string
  readonly personId: string
  readonly startedAt: Instant
  readonly lastSeenAt: Instant
  readonly endsAt: Instant
  readonly administrator: number
}

interface SessionInClass extends SessionRow {
  /** Null where the person is in no class, or in one that has ended. */
  readonly classId: string | null
  readonly role: ClassRole
}

/** A session that runs, once for each class of its person; asked with every request. */
const readSession = prepareRead<{ tokenHash: string; now: Instant }, SessionInClass>((sql, value) =>
  sql('sessions')
    .join('people', 'people.id', 'sessions.personId')
    .leftJoin('memberships', (join) => {
      join
        .on('memberships.personId', 'sessions.personId')
        .andOn((from) => {
          from.onNull('memberships.fromAt').orOnVal('memberships.fromAt', '<=', value('now'))
        })
        .andOn((until) => {
          until.onNull('memberships.untilAt').orOnVal('memberships.untilAt', '>', value('now'))
        })
    })
    .leftJoin('classes', (join) => {
      join.on('classes.id', 'memberships.classId').andOnNull('classes.endedAt')
    })
    .where('sessions.tokenHash', value('tokenHash'))
    .where('sessions.endsAt', '>', value('now'))
    .whereNull('people.endedAt')
    .select(
      'sessions.id',
      'sessions.personId',
      'sessions.startedAt',
      'sessions.lastSeenAt',
      'sessions.endsAt',
      'people.administrator',
      'classes.id as classId',
      'memberships.role',
    )
    .orderBy(['classes.sortName', 'memberships.id']),
)

export interface FoundSession {
  readonly session: SessionRow
  /** The running classes of which its person is a member now. */
  readonly memberships: readonly { readonly classId: string; readonly role: ClassRole }[]
}

export async function findSession(reader: Reader, tokenHash: string): Promise<FoundSession | null> {
  const rows = await readSession(reader, { tokenHash, now: reader.now })
  const [session] = rows
  if (!session) return null
  const memberships = rows.flatMap(({ classId, role }) => (classId === null ? [] : [{ classId, role }]))
  return { session, memberships }
}

/** More devices than this belong to nobody; the ones used longest ago are forgotten. */
const MOST_DEVICES = 50

/** Returns whether somebody has signed in on a device before. */
export async function isKnownDevice(reader: Reader, personId: string, deviceHash: string): Promise<boolean> {
  return (await reader.sql('knownDevices').where({ personId, deviceHash }).first('usedAt')) !== undefined
}

export async function rememberDevice(trx: Trx, personId: string, deviceHash: string): Promise<void> {
  const row = { personId, deviceHash, usedAt: trx.now }
  await trx.sql('knownDevices').insert(row).onConflict(['personId', 'deviceHash']).merge()
  const newest = trx.sql('knownDevices').where({ personId }).orderBy('usedAt', 'desc').orderBy('deviceHash')
  const old: { deviceHash: string }[] = await newest.offset(MOST_DEVICES).limit(100).select('deviceHash')
  if (old.length === 0) return
  const hashes = old.map((one) => one.deviceHash)
  await trx.sql('knownDevices').where({ personId }).whereIn('deviceHash', hashes).delete()
}

export interface PresentMembershipRow {
  readonly classId: string
  readonly className: string
  readonly classCode: string
  readonly role: ClassRole
}

/** Lists the running classes of which somebody is a member now. */
export function listPresentClasses(reader: Reader, personId: string): Promise<PresentMembershipRow[]> {
  return reader
    .sql('memberships')
    .join('classes', 'classes.id', 'memberships.classId')
    .where({ personId })
    .whereNull('classes.endedAt')
    .modify(isPresent, 'memberships', reader.now)
    .select(
      'memberships.classId',
      'classes.name as className',
      'classes.code as classCode',
      'memberships.role',
    )
    .orderBy(['classes.sortName', 'memberships.id'])
}

export interface SignInRow {
  readonly id: string
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
  readonly signInName: string
  readonly email: string | null
  readonly language: Language
  readonly letterKeys: number
  readonly showsWeek: number
  readonly administrator: number
  readonly endedAt: Instant | null
  readonly revision: number
  readonly hash: string | null
  readonly shownNameRule: 'full' | 'first' | 'chosen' | null
  readonly idleMinutes: number | null
  readonly absoluteMinutes: number | null
}

/** Finds a person with everything that signing in needs, by id or by the key of the sign-in name. */
export async function findSignInPerson(
  reader: Reader,
  by: { readonly id: string } | { readonly signInKey: string },
): Promise<SignInRow | null> {
  const row = await peopleNow(reader)
    .leftJoin('passwords', 'passwords.personId', 'people.id')
    .where('id' in by ? { 'people.id': by.id } : { 'people.signInKey': by.signInKey })
    .first(
      'people.*',
      'passwords.hash',
      'yearGroup.shownNameRule',
      'yearGroup.idleMinutes',
      'yearGroup.absoluteMinutes',
    )
  return row ?? null
}

export interface NewSession {
  readonly tokenHash: string
  readonly personId: string
  readonly device: string
  readonly endsAt: Instant
}

export async function insertSession(trx: Trx, session: NewSession): Promise<string> {
  const id = trx.newId()
  await trx.sql('sessions').where('endsAt', '<=', trx.now).delete()
  await trx.sql('sessions').insert({ id, ...session, startedAt: trx.now, lastSeenAt: trx.now })
  return id
}

export async function updateSessionSeen(trx: Trx, id: string, endsAt: Instant): Promise<void> {
  await trx.sql('sessions').where({ id }).update({ lastSeenAt: trx.now, endsAt })
}

export function listSessions(
  reader: Reader,
  personId: string,
): Promise<{ id: string; device: string; startedAt: Instant; lastSeenAt: Instant }[]> {
  return reader
    .sql('sessions')
    .where({ personId })
    .where('endsAt', '>', reader.now)
    .select('id', 'device', 'startedAt', 'lastSeenAt')
    .orderBy([{ column: 'lastSeenAt', order: 'desc' }, 'id'])
}

export async function getSessionEnd(reader: Reader, id: string): Promise<Instant> {
  const row = await reader.sql('sessions').where({ id }).first('endsAt')
  return row?.endsAt ?? reader.now
}

export async function endSessionWithToken(trx: Trx, tokenHash: string): Promise<void> {
  await trx.sql('sessions').where({ tokenHash }).delete()
}

/** Ends one session of a person; false when it is not theirs or does not exist. */
export async function endSession(trx: Trx, personId: string, id: string): Promise<boolean> {
  return (await trx.sql('sessions').where({ personId, id }).delete()) === 1
}

/** Ends all sessions of a person except the given one. */
export async function endSessionsOf(trx: Trx, personId: string, butId: string | null): Promise<number> {
  const ended = trx.sql('sessions').where({ personId })
  if (butId !== null) ended.whereNot({ id: butId })
  return ended.delete()
}

export async function savePassword(trx: Trx, personId: string, hash: string): Promise<void> {
  await trx.sql('passwords').insert({ personId, hash, changedAt: trx.now }).onConflict('personId').merge()
}

export async function insertSignInLink(
  trx: Trx,
  tokenHash: string,
  personId: string,
  untilAt: Instant,
): Promise<void> {
  // A new link replaces the ones before it, so that only the last one that was handed over opens.
  await trx.sql('signInLinks').where({ personId }).delete()
  await trx.sql('signInLinks').insert({ tokenHash, personId, createdAt: trx.now, untilAt, usedAt: null })
}

/** Finds the person of a sign-in link that can still be used. */
export async function findSignInLink(
  reader: Reader,
  tokenHash: string,
): Promise<{ personId: string } | null> {
  const row = await reader
    .sql('signInLinks')
    .where({ tokenHash, usedAt: null })
    .where('untilAt', '>', reader.now)
    .first('personId')
  return row ?? null
}

export async function useSignInLink(trx: Trx, tokenHash: string): Promise<boolean> {
  return (await trx.sql('signInLinks').where({ tokenHash, usedAt: null }).update({ usedAt: trx.now })) === 1
}

/** Saves the caller's settings; the last write wins. */
export async function savePreferences(
  trx: Trx,
  personId: string,
  preferences: { readonly language?: Language; readonly letterKeys?: number; readonly showsWeek?: number },
): Promise<void> {
  await trx.sql('people').where({ id: personId }).update(preferences)
}

export function limitsOf(row: SignInRow, staff: SessionLimits): SessionLimits {
  const { idleMinutes, absoluteMinutes } = row
  return idleMinutes === null || absoluteMinutes === null ? staff : { idleMinutes, absoluteMinutes }
}
