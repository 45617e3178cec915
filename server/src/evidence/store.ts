// Evidence items in the database. Whoever asks is a required argument: so far, what one sees is what one owns.
import { toTagKey } from '@valise/core/evidence'
import type {
  Evidence,
  EvidenceKind,
  EvidencePage,
  EvidenceRow,
  Rights,
  TagsInUse,
} from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, parseCursor, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import type { NewVersion } from './versionStore.ts'

export type EvidenceShelf = 'kept' | 'bin'

/** One page of what somebody keeps (what was made last first) or has in the bin (what went in last first). */
export async function listEvidence(
  reader: Reader,
  actor: PersonActor,
  shelf: EvidenceShelf,
  { cursor, limit }: { cursor: string | undefined; limit: number },
): Promise<EvidencePage> {
  const time = shelf === 'kept' ? 'evidence.madeAt' : 'evidence.binnedAt'
  const onShelf = ownEvidence(reader, actor).modify((q) =>
    shelf === 'kept' ? q.whereNull('evidence.binnedAt') : q.whereNotNull('evidence.binnedAt'),
  )
  const page = withVersion(reader, onShelf.clone(), actor)
    .orderBy([
      { column: time, order: 'desc' },
      { column: 'evidence.id', order: 'desc' },
    ])
    .limit(limit + 1)
  if (cursor !== undefined) {
    const [at, id] = parseCursor(cursor, 2)
    page.where((q) =>
      q
        .where(time, '<', String(at))
        .orWhere((same) => same.where({ [time]: at }).where('evidence.id', '<', String(id))),
    )
  }
  const rows: EvidenceRecord[] = await page
  const items = rows.slice(0, limit).map(toEvidenceRow)
  const last = items.at(-1)
  const lastAt = shelf === 'kept' ? last?.madeAt : last?.binnedAt
  return {
    items,
    next: rows.length > limit && last && lastAt ? toCursor([lastAt, last.id]) : null,
    count: await countRows(onShelf),
  }
}

export function countEvidence(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(ownEvidence(reader, actor).whereNull('binnedAt'))
}

/** What lies in somebody's tray, in the order of picking up; what is in the bin is not shown. */
export async function listTray(reader: Reader, actor: PersonActor): Promise<EvidenceRow[]> {
  const picked = ownEvidence(reader, actor).whereNull('evidence.binnedAt').whereNotNull('trayItems.pickedAt')
  const rows: EvidenceRecord[] = await withVersion(reader, picked, actor).orderBy([
    'trayItems.pickedAt',
    'evidence.id',
  ])
  return rows.map(toEvidenceRow)
}

export async function findEvidence(reader: Reader, actor: PersonActor, id: string): Promise<Evidence | null> {
  const own = ownEvidence(reader, actor).where('evidence.id', id)
  const row: EvidenceRecord | undefined = await withVersion(reader, own, actor)
    .leftJoin('classes', 'classes.id', 'evidence.classId')
    .select('classes.name as className')
    .first()
  if (!row) return null
  const versions: VersionColumns[] = await reader
    .sql('evidenceVersions')
    .where({ evidenceId: id })
    .orderBy('n', 'desc')
  const tags = await reader
    .sql('evidenceTags')
    .where({ evidenceId: id })
    .orderBy('position')
    .orderBy('tagKey')
  return {
    ...toEvidenceRow(row),
    madeAtKnown: row.madeAtKnown === 1,
    statement: row.statement,
    tags: tags.map(({ tag }) => tag),
    rights: JSON.parse(row.rights),
    className: row.className ?? null,
    createdAt: row.itemCreatedAt,
    versions: versions.map(toVersion),
    revision: row.revision,
  }
}

/** Somebody's item that has these very bytes as its newest version and is not in the bin. */
export async function findSameFile(
  reader: Reader,
  actor: PersonActor,
  sha256: string,
): Promise<{ id: string; title: string } | null> {
  const row = await ownEvidence(reader, actor)
    .join('evidenceVersions', isNewestVersion)
    .where({ fileSha256: sha256 })
    .whereNull('evidence.binnedAt')
    .orderBy('evidence.id')
    .first('evidence.id', 'evidence.title')
  return row ?? null
}

export interface NewEvidence {
  readonly id: string
  readonly ownerId: string
  readonly kind: EvidenceKind
  readonly title: string
  readonly rights: Rights
  readonly classId: string | null
  readonly madeAt: Instant
  readonly madeAtKnown: boolean
}

export async function insertEvidence(trx: Trx, { rights, madeAtKnown, ...item }: NewEvidence): Promise<void> {
  await trx.sql('evidence').insert({
    ...item,
    rights: JSON.stringify(rights),
    madeAtKnown: madeAtKnown ? 1 : 0,
    currentVersion: 0,
    statement: '',
    binnedAt: null,
    createdAt: trx.now,
    revision: 1,
  })
}

/** What of an item's own row can change. */
export interface EvidenceColumns {
  readonly title?: string
  readonly statement?: string
  readonly rights?: Rights
  readonly currentVersion?: number
  readonly binnedAt?: Instant | null
}

/** @returns whether the item still had that revision; null changes it whatever its revision is */
export async function updateEvidence(
  trx: Trx,
  id: string,
  revision: number | null,
  { rights, ...columns }: EvidenceColumns,
): Promise<boolean> {
  const changed = await trx
    .sql('evidence')
    .where({ id, ...(revision !== null && { revision }) })
    .update({
      ...columns,
      ...(rights && { rights: JSON.stringify(rights) }),
      revision: trx.sql.raw('revision + 1'),
    })
  return changed === 1
}

export async function deleteEvidence(trx: Trx, id: string): Promise<void> {
  await trx.sql('evidence').where({ id }).delete()
}

/** Removes for good what went into the bin before a moment. */
export function deleteBinnedBefore(trx: Trx, before: Instant): Promise<number> {
  return trx.sql('evidence').where('binnedAt', '<=', before).delete()
}

export async function replaceTags(
  trx: Trx,
  actor: PersonActor,
  evidenceId: string,
  tags: readonly string[],
): Promise<void> {
  await trx.sql('evidenceTags').where({ evidenceId }).delete()
  const row = (tag: string, position: number) => ({
    evidenceId,
    tagKey: toTagKey(tag),
    ownerId: actor.personId,
    tag,
    position,
  })
  if (tags.length > 0) await trx.sql('evidenceTags').insert(tags.map(row))
}

/** Somebody's own tags, those used most first. The spelling used last stands for all of them. */
export async function listTags(reader: Reader, actor: PersonActor): Promise<TagsInUse> {
  const rows = await reader
    .sql('evidenceTags')
    .where({ ownerId: actor.personId })
    .groupBy('tagKey')
    .select('tagKey')
    .max({ tag: 'tag' })
    .count({ count: '*' })
    .orderBy([{ column: 'count', order: 'desc' }, { column: 'tagKey' }])
    .limit(500)
  return rows.map(({ tag, count }) => ({ tag: String(tag), count: Number(count) }))
}

/** The ids among these that somebody owns and has not put into the bin. */
export async function listKeptIds(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<string[]> {
  const rows: { id: string }[] = await ownEvidence(reader, actor)
    .whereNull('evidence.binnedAt')
    .whereIn('id', ids)
    .select('id')
  return rows.map(({ id }) => id)
}

export async function countTray(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(reader.sql('trayItems').where({ personId: actor.personId }))
}

export async function insertTrayItem(trx: Trx, actor: PersonActor, evidenceId: string): Promise<void> {
  const row = { personId: actor.personId, evidenceId, pickedAt: trx.now }
  await trx.sql('trayItems').insert(row).onConflict(['personId', 'evidenceId']).ignore()
}

export async function deleteTrayItem(trx: Trx, actor: PersonActor, evidenceId: string): Promise<void> {
  await trx.sql('trayItems').where({ personId: actor.personId, evidenceId }).delete()
}

/** The one way in: nothing of anybody else is ever read. */
function ownEvidence(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('evidence').where('evidence.ownerId', actor.personId)
}

function isNewestVersion(join: Knex.JoinClause): void {
  join.on('evidenceVersions.evidenceId', 'evidence.id').andOn('evidenceVersions.n', 'evidence.currentVersion')
}

function withVersion(reader: Reader, items: Knex.QueryBuilder, actor: PersonActor): Knex.QueryBuilder {
  const { sql } = reader
  return items
    .join('evidenceVersions', isNewestVersion)
    .leftJoin('trayItems', (join) =>
      join
        .on('trayItems.evidenceId', 'evidence.id')
        .andOn('trayItems.personId', sql.raw('?', [actor.personId])),
    )
    .select('evidenceVersions.*', 'trayItems.pickedAt')
    .select(
      'evidence.id',
      'evidence.kind',
      'evidence.title',
      'evidence.rights',
      'evidence.statement',
      'evidence.madeAt',
      'evidence.madeAtKnown',
      'evidence.binnedAt',
      'evidence.createdAt as itemCreatedAt',
      'evidence.revision',
    )
}

interface VersionColumns extends NewVersion {
  readonly createdAt: Instant
}

interface EvidenceRecord extends VersionColumns {
  readonly id: string
  readonly kind: EvidenceKind
  readonly title: string
  readonly rights: string
  readonly statement: string
  readonly madeAt: Instant
  readonly madeAtKnown: number
  readonly binnedAt: Instant | null
  readonly itemCreatedAt: Instant
  readonly revision: number
  readonly pickedAt: Instant | null
  readonly className?: string | null
}

function toEvidenceRow(row: EvidenceRecord): EvidenceRow {
  const rights: Rights = JSON.parse(row.rights)
  return {
    id: row.id,
    kind: row.kind,
    title: row.title,
    rightsState: rights.state,
    madeAt: row.madeAt,
    version: toVersion(row),
    inTray: row.pickedAt !== null,
    binnedAt: row.binnedAt,
  }
}

function toVersion(row: VersionColumns): Evidence['versions'][number] {
  return {
    n: row.n,
    fileName: row.fileName,
    mime: row.mime,
    bytes: row.bytes,
    width: row.width,
    height: row.height,
    hasPlace: row.latitude !== null,
    preview: row.preview,
    previewProblem: row.previewProblem,
    at: row.createdAt,
  }
}
