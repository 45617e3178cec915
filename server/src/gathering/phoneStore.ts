// Phones that lend their camera, in the database: one code each, which opens once.
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'
import type { LandingPlace } from '../evidence/index.ts'

export interface PhoneLinkRow extends LandingPlace {
  readonly id: string
  readonly ownerId: string
  /** The session of the laptop: when it ends, so does the phone's. */
  readonly sessionId: string
  readonly keyHash: string | null
  readonly endsAt: Instant
  readonly endedAt: Instant | null
}

export async function insertPhoneLink(
  trx: Trx,
  link: Omit<PhoneLinkRow, 'keyHash' | 'endedAt'> & { readonly codeHash: string },
): Promise<void> {
  await trx.sql('phoneLinks').insert({ ...link, keyHash: null, endedAt: null, createdAt: trx.now })
}

export async function findOwnPhoneLink(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<PhoneLinkRow | null> {
  return (await reader.sql('phoneLinks').where({ id, ownerId: actor.personId }).first()) ?? null
}

export async function findByKey(reader: Reader, keyHash: string): Promise<PhoneLinkRow | null> {
  return (await reader.sql('phoneLinks').where({ keyHash }).first()) ?? null
}

/** Redeems a code for whoever comes first. Returns the link, or null for a code that no longer works. */
export async function useCode(trx: Trx, codeHash: string, keyHash: string): Promise<PhoneLinkRow | null> {
  const used = await trx
    .sql('phoneLinks')
    .where({ codeHash })
    .whereNull('keyHash')
    .whereNull('endedAt')
    .where('endsAt', '>', trx.now)
    .update({ keyHash })
  return used === 1 ? findByKey(trx, keyHash) : null
}

export async function endPhoneLinks(trx: Trx, actor: PersonActor): Promise<void> {
  await trx
    .sql('phoneLinks')
    .where({ ownerId: actor.personId })
    .whereNull('endedAt')
    .update({ endedAt: trx.now })
}

export async function isSessionOpen(reader: Reader, sessionId: string): Promise<boolean> {
  const row = await reader
    .sql('sessions')
    .where({ id: sessionId })
    .where('endsAt', '>', reader.now)
    .first('id')
  return row !== undefined
}

export async function noteArrival(trx: Trx, linkId: string, evidenceId: string): Promise<void> {
  await trx.sql('phoneArrivals').insert({ linkId, evidenceId }).onConflict(['linkId', 'evidenceId']).ignore()
}

export async function listArrivals(reader: Reader, linkId: string): Promise<string[]> {
  const rows: { evidenceId: string }[] = await reader
    .sql('phoneArrivals')
    .where({ linkId })
    .orderBy('evidenceId')
    .select('evidenceId')
  return rows.map(({ evidenceId }) => evidenceId)
}
