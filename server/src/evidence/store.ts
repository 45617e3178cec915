// Evidence items in the database. Whoever asks is a required argument: what one sees here is what one owns.
import type { Evidence, EvidenceKind, EvidenceRow, Rights } from '@valise/core/evidence'
import { isShownAsPicture } from '@valise/core/evidence'
import { foldText } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { dayOf, mondayOf } from '@valise/core/time'
import type { Instant, Zone } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { changeThing, insertThing, noteDraft } from '../things/index.ts'
import { findDriveState } from './driveStore.ts'
import { findLink } from './linkStore.ts'
import { listCollagePictures } from './collagePictureStore.ts'
import { listTagsOf } from './tagStore.ts'
import { toVersion, versionColumns } from './versionStore.ts'
import type { VersionRecord } from './versionStore.ts'
import { listVoices } from './voiceStore.ts'

export async function findEvidence(reader: Reader, actor: PersonActor, id: string): Promise<Evidence | null> {
  const own = ownEvidence(reader, actor).where('evidence.id', id)
  const row: (EvidenceRecord & Opened) | undefined = await withVersion(reader, own, actor)
    .leftJoin('classes', 'classes.id', 'evidence.classId')
    .leftJoin('assignments', 'assignments.id', 'evidence.assignmentId')
    .select('classes.name as className', 'assignments.title as assignmentTitle')
    .select('things.revision')
    .select(
      ['caption', 'statement', 'transcript', 'madeAtKnown', 'classId', 'assignmentId'].map(
        (column) => `evidence.${column}`,
      ),
    )
    .first()
  if (!row) return null
  const versions: VersionRecord[] = await reader
    .sql('evidenceVersions')
    .where({ evidenceId: id })
    .orderBy('n', 'desc')
    .select(versionColumns)
  const { assignmentId, assignmentTitle } = row
  return {
    ...toEvidenceRow(row),
    madeAtKnown: row.madeAtKnown === 1,
    caption: row.caption,
    statement: row.statement,
    transcript: row.transcript,
    tags: await listTagsOf(reader, id),
    rights: JSON.parse(row.rights),
    classId: row.classId,
    className: row.className,
    assignment:
      assignmentId !== null && assignmentTitle !== null
        ? { id: assignmentId, title: JSON.parse(assignmentTitle) }
        : null,
    link: row.kind === 'link' ? await findLink(reader, id) : null,
    drive: await findDriveState(reader, id),
    alike: row.looksAlike === 1 ? await countAlike(reader, id) : 0,
    createdAt: row.itemCreatedAt,
    parts: row.kind === 'collage' ? await listCollagePictures(reader, id, row.n) : [],
    voices: await listVoices(reader, id),
    versions: versions.map(toVersion),
    revision: row.revision,
  }
}

/** Finds the owner's item whose newest version has the same bytes and that is not in the bin. */
export async function findSameFile(
  reader: Reader,
  actor: PersonActor,
  sha256: string,
): Promise<{ id: string; title: string } | null> {
  const row = await ownEvidence(reader, actor)
    .join('evidenceVersions', isNewestVersion)
    .join('things', 'things.id', 'evidence.id')
    .where({ fileSha256: sha256, 'evidence.isBinned': 0 })
    .orderBy('evidence.id')
    .first('evidence.id', 'things.title')
  return row ?? null
}

export interface NewEvidence {
  readonly id: string
  readonly ownerId: string
  readonly kind: EvidenceKind
  readonly title: string
  readonly rights: Rights
  readonly classId: string | null
  readonly assignmentId: string | null
  readonly madeAt: Instant
  readonly madeAtKnown: boolean
}

/**
 * Inserts an item. @param zone the school's time zone, in which weeks start
 */
export async function insertEvidence(
  trx: Trx,
  { rights, madeAtKnown, title, ...item }: NewEvidence,
  zone: Zone,
): Promise<void> {
  const { id, ownerId } = item
  await insertThing(trx, { id, kind: 'evidence', ownerId, title })
  await trx.sql('evidence').insert({
    ...item,
    titleKey: foldText(title),
    ...rightsColumns(rights),
    madeWeek: mondayOf(dayOf(item.madeAt, zone)),
    madeAtKnown: madeAtKnown ? 1 : 0,
    lacksAlternative: isShownAsPicture(item.kind) ? 1 : 0,
    isUnused: 1,
    looksAlike: 0,
    searchRow: 0,
    currentVersion: 0,
    statement: '',
    caption: '',
    alternativeText: '',
    transcript: '',
    isBinned: 0,
    createdAt: trx.now,
  })
}

/** Returns the words that the owner says of an item, and whether it lies in the bin; null for what is not theirs. */
export async function findStatement(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<{ readonly told: string; readonly isBinned: boolean } | null> {
  const row = await ownEvidence(reader, actor).where({ id }).first('statement', 'isBinned')
  return row ? { told: row.statement, isBinned: row.isBinned === 1 } : null
}

/** Saves the words that are said of an item; what says them is a draft, with revisions of its own. */
export async function updateStatement(trx: Trx, id: string, statement: string): Promise<void> {
  await noteDraft(trx, id)
  await trx.sql('evidence').where({ id }).update({ statement })
}

/** The columns of an item that can change. */
export interface EvidenceColumns {
  readonly title?: string
  readonly caption?: string
  readonly rights?: Rights
  readonly transcript?: string
  /** Of a picture: what is lacking follows from it. */
  readonly alternativeText?: string
  readonly classId?: string | null
  readonly assignmentId?: string | null
  /** A moment that its owner says, with the zone of the school. */
  readonly made?: { readonly at: Instant; readonly zone: Zone }
  readonly currentVersion?: number
}

/** Updates an item. A null revision updates unconditionally. @returns false when its revision has changed */
export async function updateEvidence(
  trx: Trx,
  id: string,
  revision: number | null,
  { rights, title, made, alternativeText, ...columns }: EvidenceColumns,
): Promise<boolean> {
  const { sql } = trx
  const isAsRead = await changeThing(trx, id, { revision, ...(title !== undefined && { title }) })
  if (!isAsRead) return false
  const own = {
    ...columns,
    ...(title !== undefined && { titleKey: foldText(title) }),
    ...(rights && rightsColumns(rights)),
    ...(made && { madeAt: made.at, madeAtKnown: 1, madeWeek: mondayOf(dayOf(made.at, made.zone)) }),
    ...(alternativeText !== undefined && {
      alternativeText,
      lacksAlternative: sql.raw(`CASE WHEN "kind" IN ('picture', 'collage') THEN ? ELSE 0 END`, [
        alternativeText === '' ? 1 : 0,
      ]),
    }),
  }
  if (Object.keys(own).length > 0) await sql('evidence').where({ id }).update(own)
  return true
}

/**
 * Saves the detected kind of an item that arrived as an unknown file, and its date where the owner has entered none.
 */
export async function updateUnknownKind(
  trx: Trx,
  id: string,
  kind: EvidenceKind,
  madeAt: Instant | null,
  zone: Zone,
): Promise<void> {
  const unknown = trx.sql('evidence').where({ id, kind: 'file' })
  const found = await unknown.update({
    kind,
    lacksAlternative: trx.sql.raw(`CASE WHEN "alternativeText" = '' THEN ? ELSE 0 END`, [
      isShownAsPicture(kind) ? 1 : 0,
    ]),
  })
  if (found > 0) await changeThing(trx, id, {})
  if (madeAt === null) return
  const made = { madeAt, madeWeek: mondayOf(dayOf(madeAt, zone)), madeAtKnown: 1 }
  await trx.sql('evidence').where({ id, madeAtKnown: 0 }).update(made)
}

/** Lists which of these ids are the owner's and not in the bin. */
export async function listLiveIds(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<string[]> {
  const rows: { id: string }[] = await ownEvidence(reader, actor)
    .where('evidence.isBinned', 0)
    .modify(isOneOf, 'id', ids)
    .select('id')
  return rows.map(({ id }) => id)
}

/** Selects the caller's own items. The only access to evidence: items of others are never read. */
export function ownEvidence(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('evidence').where('evidence.ownerId', actor.personId)
}

function isNewestVersion(join: Knex.JoinClause): void {
  join.on('evidenceVersions.evidenceId', 'evidence.id').andOn('evidenceVersions.n', 'evidence.currentVersion')
}

export function withVersion(reader: Reader, items: Knex.QueryBuilder, actor: PersonActor): Knex.QueryBuilder {
  const { sql } = reader
  return items
    .join('evidenceVersions', isNewestVersion)
    .join('things', 'things.id', 'evidence.id')
    .leftJoin('trayItems', (join) =>
      join
        .on('trayItems.evidenceId', 'evidence.id')
        .andOn('trayItems.personId', sql.raw('?', [actor.personId])),
    )
    .select(versionColumns.map((column) => `evidenceVersions.${column}`))
    .select(rowColumns.map((column) => `evidence.${column}`))
    .select('things.title', 'things.binnedAt', 'trayItems.pickedAt', 'evidence.createdAt as itemCreatedAt')
}

const rowColumns = ['id', 'kind', 'titleKey', 'rights', 'madeAt', 'alternativeText', 'looksAlike']

export interface EvidenceRecord extends VersionRecord {
  readonly id: string
  readonly kind: EvidenceKind
  readonly title: string
  readonly titleKey: string
  readonly rights: string
  readonly madeAt: Instant
  readonly binnedAt: Instant | null
  readonly alternativeText: string
  readonly looksAlike: number
  readonly itemCreatedAt: Instant
  readonly pickedAt: Instant | null
}

/** What only an opened item tells. */
interface Opened {
  readonly caption: string
  readonly statement: string
  readonly transcript: string
  readonly madeAtKnown: number
  readonly classId: string | null
  readonly className: string | null
  readonly assignmentId: string | null
  readonly assignmentTitle: string | null
  readonly revision: number
}

export function toEvidenceRow(row: EvidenceRecord): EvidenceRow {
  const rights: Rights = JSON.parse(row.rights)
  return {
    id: row.id,
    kind: row.kind,
    title: row.title,
    rightsState: rights.state,
    alternativeText: row.alternativeText,
    madeAt: row.madeAt,
    version: toVersion(row),
    inTray: row.pickedAt !== null,
    binnedAt: row.binnedAt,
  }
}

function rightsColumns(rights: Rights) {
  return { rights: JSON.stringify(rights), lacksRights: rights.state === 'missing' ? 1 : 0 }
}

function countAlike(reader: Reader, evidenceId: string): Promise<number> {
  return countRows(
    reader
      .sql('nearDuplicates')
      .join('evidence', 'evidence.id', 'nearDuplicates.otherId')
      .where({ evidenceId, 'evidence.isBinned': 0 }),
  )
}
