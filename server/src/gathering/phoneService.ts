// The phone as the laptop's camera: a code that opens once and for ten minutes, and what the phone brings in.
import { PHONE_LINK_MINUTES } from '@valise/core/evidence'
import type { Landing, LentCamera, PhoneLink, PhoneState } from '@valise/core/evidence'
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { assertRoomFor, findLanding } from '../evidence/index.ts'
import { hashToken, newToken } from '../system/index.ts'
import { findNameAndLanguage } from '../people/index.ts'
import type { GatheringServices } from './services.ts'
import { saveContent } from './saveContent.ts'
import * as store from './phoneStore.ts'
import type { PhoneLinkRow } from './phoneStore.ts'

export const PHONE_PATH = '/phone/'
/** The most bytes of one file from a phone; longer recordings need a sign-in, where uploads can be resumed. */
export const MOST_PHONE_BYTES = 256 * 1_048_576

/** Makes a new code; an earlier one ends. */
export function lendCamera(
  services: GatheringServices,
  actor: PersonActor,
  landing: Landing,
): Promise<PhoneLink> {
  return inTransaction(services.database, async (trx) => {
    await store.endPhoneLinks(trx, actor)
    const code = newToken()
    const link = { id: trx.newId(), endsAt: addMinutes(trx.now, PHONE_LINK_MINUTES) }
    const { personId: ownerId, sessionId } = actor
    const place = await findLanding(trx, actor, landing)
    await store.insertPhoneLink(trx, { ...link, ...place, ownerId, sessionId, codeHash: hashToken(code) })
    return { ...link, address: `${services.config.publicAddress}${PHONE_PATH}${code}` }
  })
}

/** Returns whether the phone is connected, and what it has sent. */
export async function getPhoneState(reader: Reader, actor: PersonActor, id: string): Promise<PhoneState> {
  const link = await store.findOwnPhoneLink(reader, actor, id)
  if (!link) throw new AppError('not-found', 'not-found')
  const arrived = await store.listArrivals(reader, id)
  if (link.endedAt !== null || link.endsAt <= reader.now) return { state: 'ended', arrived }
  return { state: link.keyHash === null ? 'open' : 'lent', arrived }
}

export function endLending(services: GatheringServices, actor: PersonActor): Promise<void> {
  return inTransaction(services.database, (trx) => store.endPhoneLinks(trx, actor))
}

/** Redeems a code. Returns the key that the phone uses from now on, or null for a code that no longer works. */
export async function openCode(
  services: GatheringServices,
  code: string,
): Promise<{ readonly key: string; readonly endsAt: string } | null> {
  const key = newToken()
  const link = await inTransaction(services.database, (trx) =>
    store.useCode(trx, hashToken(code), hashToken(key)),
  )
  return link && { key, endsAt: link.endsAt }
}

/** @throws AppError `gone` when the ten minutes are over or the laptop has gone */
export async function getLentCamera(reader: Reader, key: string | null): Promise<LentCamera> {
  const { ownerId, endsAt, id } = await getOpenLink(reader, key)
  const { firstName, language } = await findNameAndLanguage(reader, ownerId)
  return { firstName, language, endsAt, taken: (await store.listArrivals(reader, id)).length }
}

export interface PhoneFile {
  readonly fileName: string
  readonly bytes: number
  /** Whether the phone took it then and there; of what was chosen nobody knows whose it is. */
  readonly isMine: boolean
  readonly content: AsyncIterable<Uint8Array>
}

/** Saves what a phone sends as its owner's own work. */
export async function saveFromPhone(
  services: GatheringServices,
  key: string | null,
  { fileName, bytes, isMine, content }: PhoneFile,
): Promise<void> {
  const link = await getOpenLink(services.database.reader(), key)
  const { ownerId: personId, classId, assignmentId } = link
  const owner = ownerActor(personId)
  await assertRoomFor(services, owner, bytes)
  await saveContent(services, owner, {
    content,
    fileName,
    classId,
    assignmentId,
    rights: { state: isMine ? 'mine' : 'missing' },
    intoTray: true,
    also: (trx, { evidenceId }) => store.noteArrival(trx, link.id, evidenceId),
  })
}

async function getOpenLink(reader: Reader, key: string | null): Promise<PhoneLinkRow> {
  const link = key === null ? null : await store.findByKey(reader, hashToken(key))
  if (!link) throw new AppError('gone', 'phone-unknown')
  const isOpen = link.endedAt === null && link.endsAt > reader.now
  if (!isOpen || !(await store.isSessionOpen(reader, link.sessionId)))
    throw new AppError('gone', 'phone-over')
  return link
}
