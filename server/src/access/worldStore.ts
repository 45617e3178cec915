// The world that access is computed from, out of the database: all of one owner, or what concerns a few things.
import type {
  AccessPass,
  AccessThing,
  AccessWorld,
  AudienceKind,
  MembershipWindow,
} from '@valise/core/access'
import type { Edge } from '@valise/core/collections'
import { sharedKinds } from '@valise/core/things'
import type { SharedKind } from '@valise/core/things'
import { meetWindows } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { rightsOf } from './passRow.ts'
import { listAllowed } from './rulesStore.ts'
import { isPublishedSql } from './shared/sharedThingStore.ts'

/** Loads everything that somebody owns, to be seen as one viewer; null for a viewer in no class. */
export async function loadWorldOf(
  reader: Reader,
  ownerId: string,
  personId: string | null,
): Promise<AccessWorld> {
  const { sql } = reader
  const ofOwner = (query: Knex.QueryBuilder) => void query.where({ ownerId })
  const edges: Edge[] = await sql('collectionItems')
    .join('collections', 'collections.id', 'collectionItems.collectionId')
    .where('collections.ownerId', ownerId)
    .whereNotNull('thingId')
    .select({ containerId: 'collectionId', itemId: 'collectionItems.id' }, 'thingId', 'isHidden')
    .then((rows: EdgeRow[]) => rows.map((row) => ({ ...row, isHidden: row.isHidden === 1 })))
  return {
    things: await listThings(reader, ofOwner),
    edges,
    passes: await listPasses(reader, ofOwner),
    memberships: personId === null ? [] : await listMembershipWindows(reader, personId),
    allowed: await listAllowed(reader, [ownerId]),
  }
}

/**
 * Loads what affects these things for one viewer. Collections above them appear as direct containers: enough for
 * whether and until when, not enough for paths and obstacles.
 */
export async function loadWorldAbout(
  reader: Reader,
  thingIds: readonly string[],
  personId: string,
): Promise<AccessWorld> {
  const { sql } = reader
  const edges: Edge[] = (
    await sql('reach').modify(isOneOf, 'thingId', thingIds).select('containerId', 'thingId', 'itemId')
  ).map((row: Omit<Edge, 'isHidden'>) => ({ ...row, isHidden: false }))
  const ids = [...new Set([...thingIds, ...edges.map(({ containerId }) => containerId)])]
  const things = await listThings(reader, (query) => void query.modify(isOneOf, 'id', ids))
  return {
    things,
    edges,
    passes: await listPasses(reader, (query) => void query.modify(isOneOf, 'thingId', ids)),
    memberships: await listMembershipWindows(reader, personId),
    allowed: await listAllowed(reader, [...new Set(things.map(({ ownerId }) => ownerId))]),
  }
}

async function listThings(
  reader: Reader,
  narrow: (query: Knex.QueryBuilder) => void,
): Promise<AccessThing[]> {
  const { sql } = reader
  const rows: ThingRow[] = await sql('things')
    .modify(narrow)
    .whereIn('things.kind', [...sharedKinds])
    .orderBy('id')
    .select('id', 'kind', 'ownerId', 'isBinned')
    .select(sql.raw(`CASE WHEN ${isPublishedSql} THEN 1 ELSE 0 END AS "isPublished"`))
  return rows.map(({ isPublished, isBinned, ...row }) => ({
    ...row,
    isPublished: isPublished === 1,
    isBinned: isBinned === 1,
  }))
}

async function listPasses(reader: Reader, narrow: (query: Knex.QueryBuilder) => void): Promise<AccessPass[]> {
  const rows: PassRow[] = await reader.sql('passes').modify(narrow).orderBy(['createdAt', 'id'])
  return rows.map((row) => ({
    id: row.id,
    thingId: row.thingId,
    audience: { kind: row.audience, personId: row.personId, classId: row.classId },
    rights: rightsOf(row),
    from: row.fromAt,
    until: row.untilAt,
    endedAt: row.endedAt,
  }))
}

async function listMembershipWindows(reader: Reader, personId: string): Promise<MembershipWindow[]> {
  const rows: MembershipRow[] = await reader
    .sql('memberships')
    .join('classes', 'classes.id', 'memberships.classId')
    .where({ personId })
    .select('personId', 'classId', 'role', 'fromAt', 'untilAt', 'classes.endedAt')
  return rows.map(({ fromAt, untilAt, endedAt, ...row }) => ({
    ...row,
    ...meetWindows({ from: fromAt, until: untilAt }, { from: null, until: endedAt }),
  }))
}

interface EdgeRow extends Omit<Edge, 'isHidden'> {
  readonly isHidden: number
}

interface ThingRow {
  readonly id: string
  readonly kind: SharedKind
  readonly ownerId: string
  readonly isPublished: number
  readonly isBinned: number
}

interface PassRow {
  readonly id: string
  readonly thingId: string
  readonly audience: AudienceKind
  readonly personId: string | null
  readonly classId: string | null
  readonly mayComment: number
  readonly mayCopy: number
  readonly fromAt: Instant
  readonly untilAt: Instant | null
  readonly endedAt: Instant | null
}

interface MembershipRow extends Pick<MembershipWindow, 'personId' | 'classId' | 'role'> {
  readonly fromAt: Instant | null
  readonly untilAt: Instant | null
  readonly endedAt: Instant | null
}
