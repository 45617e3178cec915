// Passes in the database, as their giver keeps them.
import { audienceDefinitionOf, audienceKinds } from '@valise/core/access'
import type { Audience, AudienceKind, NewPass, Pass } from '@valise/core/access'
import type { PersonActor } from '@valise/core/people'
import type { SharedKind } from '@valise/core/things'
import { windowState } from '@valise/core/time'
import type { Instant, TimeWindow } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { joinNames } from '../people/index.ts'
import type { NamedPassRow } from './audiences/AudienceStore.ts'
import { audienceStoreOf } from './audiences/audienceStores.ts'
import { rightsOf, windowOf } from './passRow.ts'

/** A pass as stored. Its giver also sees whether the rules forbid it, and the address of a link. */
export type StoredPass = Omit<Pass, 'isForbidden' | 'address'> & { readonly generation: number }

export async function listOwnPasses(reader: Reader, actor: PersonActor): Promise<StoredPass[]> {
  const rows: PassRecord[] = await passRows(reader, actor).orderBy(['passes.fromAt', 'passes.id'])
  return rows.map((row) => toPass(row, reader.now))
}

export async function findOwnPass(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<StoredPass | null> {
  const row: PassRecord | undefined = await passRows(reader, actor).where('passes.id', id).first()
  return row ? toPass(row, reader.now) : null
}

/** Counts the passes on a thing that have not ended. */
export function countPassesOn(reader: Reader, thingId: string): Promise<number> {
  return countRows(
    reader
      .sql('passes')
      .where({ thingId, endedAt: null })
      .where((open) => open.whereNull('untilAt').orWhere('untilAt', '>', reader.now)),
  )
}

export async function insertPass(
  trx: Trx,
  actor: PersonActor,
  { thing, audience, rights, firstDay, lastDay }: NewPass,
  { from, until }: TimeWindow,
): Promise<string> {
  const id = trx.newId()
  await trx.sql('passes').insert({
    id,
    ownerId: actor.personId,
    thingId: thing.id,
    ...toTarget(audience),
    generation: 1,
    mayComment: Number(rights.includes('comment')),
    mayCopy: Number(rights.includes('copy')),
    fromAt: from ?? trx.now,
    untilAt: until,
    firstDay,
    lastDay,
    endedAt: null,
    createdAt: trx.now,
    revision: 1,
  })
  return id
}

interface PassColumns {
  readonly fromAt?: Instant
  readonly untilAt?: Instant | null
  readonly firstDay?: string | null
  readonly lastDay?: string | null
  readonly endedAt?: Instant
  readonly generation?: number
}

/** Updates a pass. @returns false when its revision has changed */
export async function updatePass(
  trx: Trx,
  id: string,
  revision: number,
  columns: PassColumns,
): Promise<boolean> {
  const changed = await trx
    .sql('passes')
    .where({ id, revision })
    .update({ ...columns, revision: revision + 1 })
  return changed === 1
}

/** The audiences that one belongs to by holding an address. */
const addressed = audienceKinds.filter((kind) => audienceDefinitionOf(kind).hasAddress)

export interface LinkRow {
  readonly id: string
  readonly thingId: string
  readonly audience: AudienceKind
  readonly kind: SharedKind
  readonly generation: number
  readonly fromAt: Instant
  readonly untilAt: Instant | null
  readonly endedAt: Instant | null
  readonly linkName: string | null
}

/** Lists the links with these ids, whoever made them; the caller has checked their codes. */
export async function listLinks(reader: Reader, ids: readonly string[]): Promise<LinkRow[]> {
  return reader
    .sql('passes')
    .join('things', 'things.id', 'passes.thingId')
    .modify(isOneOf, 'passes.id', ids)
    .whereIn('audience', addressed)
    .select('passes.id', 'thingId', 'things.kind', 'audience', 'generation', 'linkName')
    .select('fromAt', 'untilAt', 'endedAt')
    .orderBy('passes.id')
}

/** Lists those of these links that are for a thing, or for a collection that contains it, binned or not. */
export async function listLinksTo(
  reader: Reader,
  ids: readonly string[],
  thingId: string,
): Promise<LinkRow[]> {
  const links = await listLinks(reader, ids)
  const above = await listCollectionsAbove(reader, thingId)
  return links.filter((link) => link.thingId === thingId || above.has(link.thingId))
}

/** Through places that are not hidden. The table `reach` leaves out what lies in the bin, which is asked for here. */
async function listCollectionsAbove({ sql }: Reader, thingId: string): Promise<ReadonlySet<string>> {
  const found = new Set<string>()
  for (let level = [thingId]; level.length > 0;) {
    const rows: { collectionId: string }[] = await sql('collectionItems')
      .where({ isHidden: 0 })
      .modify(isOneOf, 'thingId', level)
      .distinct('collectionId')
    level = rows.map(({ collectionId }) => collectionId).filter((id) => !found.has(id))
    for (const id of level) found.add(id)
  }
  return found
}

/** Returns whom a pass is for, as columns: an audience says what it goes by, and leaves out the rest. */
export function toTarget(
  audience: Audience,
): Pick<PassRecord, 'audience' | 'personId' | 'classId' | 'linkName'> {
  return {
    audience: audience.kind,
    personId: 'personId' in audience ? audience.personId : null,
    classId: 'classId' in audience ? audience.classId : null,
    linkName: 'name' in audience ? audience.name : null,
  }
}

function passRows(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader
    .sql('passes')
    .join('things', 'things.id', 'passes.thingId')
    .modify(joinNames, reader, 'passes.personId')
    .leftJoin('classes', 'classes.id', 'passes.classId')
    .where('passes.ownerId', actor.personId)
    .select('passes.*', 'things.kind', 'classes.name as className')
}

interface PassRecord extends Omit<LinkRow, 'audience'>, NamedPassRow {
  readonly mayComment: number
  readonly mayCopy: number
  readonly firstDay: string | null
  readonly lastDay: string | null
  readonly revision: number
}

function toPass(row: PassRecord, now: Instant): StoredPass {
  const window = windowOf(row)
  return {
    id: row.id,
    thing: { kind: row.kind, id: row.thingId },
    audience: {
      kind: row.audience,
      id: row.personId ?? row.classId,
      name: audienceStoreOf(row.audience).name(row),
    },
    rights: rightsOf(row),
    firstDay: row.firstDay,
    lastDay: row.lastDay,
    ...window,
    state: windowState(window, now),
    generation: row.generation,
    revision: row.revision,
  }
}
