// Which things show which, in the database: written by whatever shows something, read by whoever asks where it is used.
import type { PersonActor } from '@valise/core/people'
import { thingKinds } from '@valise/core/things'
import type { ThingKind, Use } from '@valise/core/things'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

const MOST_LISTED = 300

/**
 * Records what a thing shows as it stands now. Things of others are never recorded: the caller has checked whose they
 * are.
 *
 * @returns the things that it shows no longer, or newly
 */
export async function replaceUses(trx: Trx, byId: string, thingIds: readonly string[]): Promise<string[]> {
  const { sql } = trx
  const before = await sql('uses').where({ byId }).pluck<string[]>('thingId')
  const now = [...new Set(thingIds)]
  const gone = before.filter((id) => !now.includes(id))
  const come = now.filter((id) => !before.includes(id))
  // Most edits are about words: then nothing is written here.
  if (gone.length > 0) await sql('uses').where({ byId }).modify(isOneOf, 'thingId', gone).delete()
  if (come.length > 0)
    await sql.batchInsert(
      'uses',
      come.map((thingId) => ({ byId, thingId })),
      100,
    )
  const changed = [...gone, ...come]
  await refreshUnused(trx, changed)
  return changed
}

/**
 * Lists one's own things that show a thing, kind by kind and by title, and the submissions whose sealed copy contains it, newest first.
 */
export async function listUses(reader: Reader, actor: PersonActor, thingId: string): Promise<Use[]> {
  const shown: ShownBy[] = await reader
    .sql('uses')
    .join('things', 'things.id', 'uses.byId')
    .where({ 'uses.thingId': thingId, 'things.ownerId': actor.personId, 'things.isBinned': 0 })
    .orderBy(['things.title', 'things.id'])
    .select('things.id', 'things.kind', 'things.title')
    .limit(MOST_LISTED)
  const inOrder = shown.sort((a, b) => thingKinds.indexOf(a.kind) - thingKinds.indexOf(b.kind))
  return [...inOrder, ...(await listSubmissionsWith(reader, actor, thingId))]
}

interface ShownBy {
  readonly id: string
  readonly kind: ThingKind
  readonly title: string
}

async function listSubmissionsWith(reader: Reader, actor: PersonActor, thingId: string): Promise<Use[]> {
  const { sql } = reader
  const asPart = sql('submissionParts').where({ thingId }).select('submissionId')
  // Where a page that was handed in shows it, the copy keeps its file.
  const onPage = sealedFilesOf(reader, actor.personId, thingId).select('submissionId')
  const rows: { id: string; title: string }[] = await sql('submissions')
    .join('assignments', 'assignments.id', 'submissions.assignmentId')
    .where({ 'submissions.ownerId': actor.personId })
    .where((q) => q.whereIn('submissions.id', asPart).orWhereIn('submissions.id', onPage))
    .orderBy('submissions.id', 'desc')
    .select('submissions.id', 'assignments.title')
    .limit(MOST_LISTED)
  return rows.map(({ id, title }) => ({ kind: 'submission', id, title: JSON.parse(title) }))
}

/**
 * Recomputes which of these items are used: shown by something that is not in the bin, chosen for an assignment, or
 * handed in. The answer is stored with evidence, so that its lists can filter by it. Call it in the transaction that
 * changes one of these.
 */
export async function refreshUnused(trx: Trx, thingIds: readonly string[]): Promise<void> {
  const ids = [...new Set(thingIds)]
  if (ids.length === 0) return
  const { sql } = trx
  const used = sql('uses')
    .join('things', 'things.id', 'uses.byId')
    .where('things.isBinned', 0)
    .modify(isOneOf, 'uses.thingId', ids)
    .select('uses.thingId')
    .union([
      sql('chosenParts').where({ isIn: 1 }).modify(isOneOf, 'thingId', ids).select('thingId'),
      sql('submissionParts').modify(isOneOf, 'thingId', ids).select('thingId'),
    ])
    .as('used')
  const usedIds = await sql.from(used).pluck<string[]>('thingId')
  await sql('evidence').modify(isOneOf, 'id', usedIds).where({ isUnused: 1 }).update({ isUnused: 0 })
  const unused = ids.filter((id) => !usedIds.includes(id))
  await sql('evidence').modify(isOneOf, 'id', unused).where({ isUnused: 0 }).update({ isUnused: 1 })
}

/** Recomputes the use of all that these things show; for moves into and out of the bin. */
export async function refreshUnusedOf(trx: Trx, byIds: readonly string[]): Promise<void> {
  await refreshUnused(trx, await trx.sql('uses').modify(isOneOf, 'byId', byIds).pluck<string[]>('thingId'))
}

/** The files that sealed copies of its owner keep of an item, or of one version of it. */
export function sealedFilesOf(
  { sql }: Reader,
  ownerId: string,
  evidenceId: string,
  n: number | null = null,
): Knex.QueryBuilder {
  return sql('sealedFiles')
    .whereIn('submissionId', sql('submissions').where({ ownerId }).select('id'))
    .where({ evidenceId, ...(n !== null && { evidenceN: n }) })
}
