// Links in the database: their targets, and how the sites described themselves.
import type { Link } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export async function findLink(reader: Reader, evidenceId: string): Promise<Link | null> {
  const row: LinkRecord | undefined = await reader.sql('links').where({ evidenceId }).first()
  if (!row) return null
  const { address, siteName, description, frame, state, checkedAt } = row
  return {
    address,
    siteName,
    description,
    frame: frame === null ? null : JSON.parse(frame),
    state,
    checkedAt,
  }
}

export async function saveLink(
  trx: Trx,
  actor: PersonActor,
  evidenceId: string,
  { frame, ...link }: Omit<Link, 'checkedAt'>,
): Promise<void> {
  const row = { ...link, frame: frame && JSON.stringify(frame), checkedAt: trx.now }
  await trx
    .sql('links')
    .insert({ evidenceId, ownerId: actor.personId, ...row })
    .onConflict('evidenceId')
    .merge(row)
}

/** Finds the owner's item for an address, unless it is in the bin. */
export async function findOwnLink(
  reader: Reader,
  actor: PersonActor,
  address: string,
): Promise<string | null> {
  const row: { evidenceId: string } | undefined = await reader
    .sql('links')
    .join('evidence', 'evidence.id', 'links.evidenceId')
    .where({ 'links.ownerId': actor.personId, address })
    .where('evidence.isBinned', 0)
    .orderBy('evidenceId')
    .first('evidenceId')
  return row?.evidenceId ?? null
}

/** Lists the owner's items for these addresses. */
export async function listOwnLinks(
  reader: Reader,
  actor: PersonActor,
  addresses: readonly string[],
): Promise<string[]> {
  if (addresses.length === 0) return []
  const rows: { evidenceId: string }[] = await reader
    .sql('links')
    .where({ ownerId: actor.personId })
    .modify(isOneOf, 'address', addresses)
    .select('evidenceId')
  return rows.map(({ evidenceId }) => evidenceId)
}

interface LinkRecord extends Omit<Link, 'frame'> {
  readonly frame: string | null
}
