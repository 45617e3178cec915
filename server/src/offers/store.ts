// What is offered, in the database: one's own, that of one's classes, and that of the school.
import type { OfferedContent, OfferedRow, OfferSource, OwnOffered } from '@valise/core/offers'
import { isAssessorRole } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import type { ThingKind } from '@valise/core/things'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { listShownNames } from '../people/index.ts'

const MOST_LISTED = 300

/** Lists what one writes oneself, as it was made; what the school keeps is its own. */
export async function listOwn(reader: Reader, actor: PersonActor, kind: ThingKind): Promise<OfferedRow[]> {
  const rows: (ListedRow & Pick<OwnRow, 'isForSchool'>)[] = await reader
    .sql('offered')
    .where({ ownerId: actor.personId, kind, isBinned: 0 })
    .orderBy('id')
    .limit(MOST_LISTED)
    .select('id', 'n', 'isNewer', 'isForSchool', 'title', 'about', 'size')
  return rows.map((row) => ({
    ...toListed(row),
    ...{ source: sourceOf(row), ownerName: null, isNewer: row.isNewer === 1, mayEdit: true },
  }))
}

/** Lists what others offer to one's classes, in its newest version. */
export async function listForClasses(
  reader: Reader,
  actor: PersonActor,
  kind: ThingKind,
  isWrittenTogether: boolean,
): Promise<OfferedRow[]> {
  const rows = await newestOfOthers(reader, actor, kind)
    .where('offered.isForSchool', 0)
    .whereIn('offered.id', offersTo(reader, actor).select('offeredId'))
  const mine = isWrittenTogether
    ? await offersTo(reader, actor, 'assessor').distinct('offeredId').pluck<string[]>('offeredId')
    : []
  const listed = await toRowsOfOthers(reader, rows, { source: 'class', mayEdit: false })
  return listed.map((row, n) => {
    const mayEdit = mine.includes(row.id)
    return { ...row, mayEdit, isNewer: mayEdit && rows[n]?.isNewer === 1 }
  })
}

/** Lists what the school keeps for everybody; administrators write it together. */
export async function listForSchool(
  reader: Reader,
  actor: PersonActor,
  kind: ThingKind,
): Promise<OfferedRow[]> {
  const rows = await newestOfOthers(reader, actor, kind).where('offered.isForSchool', 1)
  return toRowsOfOthers(reader, rows, { source: 'school', mayEdit: actor.administrator })
}

function newestOfOthers({ sql }: Reader, { personId }: PersonActor, kind: ThingKind): Knex.QueryBuilder {
  return sql('offered')
    .join('offeredVersions as newest', isNewest)
    .where({ 'offered.kind': kind, 'offered.isBinned': 0 })
    .whereNot('offered.ownerId', personId)
    .orderBy('offered.id')
    .limit(MOST_LISTED)
    .select('offered.id', 'offered.n', 'offered.ownerId', 'offered.isNewer')
    .select('newest.title', 'newest.about', 'newest.size')
}

async function toRowsOfOthers(
  reader: Reader,
  rows: readonly (ListedRow & { readonly ownerId: string })[],
  { source, mayEdit }: Pick<OfferedRow, 'source' | 'mayEdit'>,
): Promise<OfferedRow[]> {
  const names = await listShownNames(
    reader,
    rows.map(({ ownerId }) => ownerId),
  )
  return rows.map((row) => ({
    ...{ ...toListed(row), source, mayEdit },
    ownerName: names.get(row.ownerId) ?? null,
    isNewer: mayEdit && row.isNewer === 1,
  }))
}

interface Written {
  readonly kind: ThingKind
  readonly id: string
  readonly isWrittenTogether: boolean
}

/**
 * Finds what one writes: one's own, binned or not, what the school keeps where one is an administrator, and what is
 * written together with the assessors of one's classes.
 */
export async function findOwn<C extends OfferedContent>(
  reader: Reader,
  actor: PersonActor,
  { kind, id, isWrittenTogether }: Written,
): Promise<OwnOffered<C> | null> {
  const row: OwnRow | undefined = await reader
    .sql('offered')
    .where({ 'offered.id': id, 'offered.kind': kind })
    .where((may) => {
      may.where('offered.ownerId', actor.personId)
      if (actor.administrator) may.orWhere('offered.isForSchool', 1)
      if (isWrittenTogether)
        may.orWhereIn('offered.id', offersTo(reader, actor, 'assessor').select('offeredId'))
    })
    .join('things', 'things.id', 'offered.id')
    .leftJoin('offeredVersions as newest', isNewest)
    .first('offered.ownerId', 'offered.content', 'offered.n', 'offered.isNewer', 'offered.isForSchool')
    .select('things.revision', 'things.binnedAt', 'newest.at')
  if (!row) return null
  const offers = await reader
    .sql('offers')
    .where({ offeredId: id })
    .orderBy('classId')
    .pluck<string[]>('classId')
  const { content, isNewer, isForSchool, at, n, revision, binnedAt, ownerId } = row
  return {
    ...{ id, revision, n, binnedAt, offers, publishedAt: at, content: JSON.parse(content) },
    ...{ isNewer: isNewer === 1, isForSchool: isForSchool === 1, isMine: ownerId === actor.personId },
  }
}

interface NewestVersion<C> {
  readonly n: number
  readonly content: C
  readonly source: OfferSource
}

/** Finds the newest version of what one may use: one's own, one's class's, or the school's. */
export async function findNewestVersion<C>(
  reader: Reader,
  actor: PersonActor,
  kind: ThingKind,
  id: string,
): Promise<NewestVersion<C> | null> {
  const row: { n: number; content: string; ownerId: string; isForSchool: number } | undefined = await reader
    .sql('offered')
    .join('offeredVersions as newest', isNewest)
    .where({ 'offered.id': id, 'offered.kind': kind, 'offered.isBinned': 0 })
    .where((may) =>
      may
        .where('offered.ownerId', actor.personId)
        .orWhere('offered.isForSchool', 1)
        .orWhereIn('offered.id', offersTo(reader, actor).select('offeredId')),
    )
    .first('newest.n', 'newest.content', 'offered.ownerId', 'offered.isForSchool')
  if (!row) return null
  const isMine = row.ownerId === actor.personId
  return { n: row.n, content: JSON.parse(row.content), source: sourceOf(row, isMine ? 'mine' : 'class') }
}

function sourceOf(
  { isForSchool }: Pick<OwnRow, 'isForSchool'>,
  otherwise: OfferSource = 'mine',
): OfferSource {
  return isForSchool === 1 ? 'school' : otherwise
}

/** Inserts what belongs to a thing that is there already. */
export async function insert<C extends OfferedContent>(
  trx: Trx,
  actor: PersonActor,
  { id, kind, content, size }: { readonly id: string; readonly kind: ThingKind } & Sized<C>,
): Promise<void> {
  const state = { isBinned: 0, n: 0, isNewer: 1, isForSchool: 0 }
  await trx
    .sql('offered')
    .insert({ id, kind, ownerId: actor.personId, ...state, ...toColumns({ content, size }) })
}

export async function updateContent<C extends OfferedContent>(
  trx: Trx,
  id: string,
  { isNewer, ...sized }: Sized<C> & { readonly isNewer: boolean },
): Promise<void> {
  await trx
    .sql('offered')
    .where({ id })
    .update({ ...toColumns(sized), isNewer: Number(isNewer) })
}

export async function insertVersion<C extends OfferedContent>(
  trx: Trx,
  offeredId: string,
  { n, ...sized }: Sized<C> & { readonly n: number },
): Promise<void> {
  await trx.sql('offeredVersions').insert({ offeredId, n, ...toColumns(sized), at: trx.now })
  await trx.sql('offered').where({ id: offeredId }).update({ n, isNewer: 0 })
}

export async function findVersion<C>({ sql }: Reader, offeredId: string, n: number): Promise<C | null> {
  const row = await sql('offeredVersions').where({ offeredId, n }).first('content')
  return row ? JSON.parse(row.content) : null
}

/** Lists what is offered to these classes now, in its newest version, with whoever owns it. */
export async function listOfferedTo<C>(
  reader: Reader,
  kind: ThingKind,
  classIds: readonly string[],
): Promise<OfferedToClass<C>[]> {
  const rows: (Omit<OfferedToClass<C>, 'content'> & { content: string })[] = await reader
    .sql('offers')
    .join('offered', 'offered.id', 'offers.offeredId')
    .join('offeredVersions as newest', isNewest)
    .where({ 'offered.kind': kind, 'offered.isBinned': 0 })
    .modify(isOneOf, 'offers.classId', classIds)
    .orderBy(['offered.id', 'offers.classId'])
    .select('offered.id', 'offered.n', 'offered.ownerId', 'offers.classId', 'newest.content')
  return rows.map(({ content, ...row }) => ({ ...row, content: JSON.parse(content) }))
}

export interface OfferedToClass<C> {
  readonly id: string
  readonly n: number
  readonly ownerId: string
  readonly classId: string
  readonly content: C
}

/** Lists these versions. The caller has checked access. */
export async function listVersions<C>(
  { sql }: Reader,
  wanted: readonly { readonly id: string; readonly n: number }[],
): Promise<{ readonly id: string; readonly n: number; readonly content: C }[]> {
  if (wanted.length === 0) return []
  const rows: { offeredId: string; n: number; content: string }[] = await sql('offeredVersions')
    .modify(isOneOf, 'offeredId', [...new Set(wanted.map(({ id }) => id))])
    .where((any) => {
      for (const n of new Set(wanted.map((one) => one.n))) any.orWhere({ n })
    })
    .orderBy(['offeredId', 'n'])
    .select('offeredId', 'n', 'content')
  return rows.map(({ offeredId: id, n, content }) => ({ id, n, content: JSON.parse(content) }))
}

export interface NewestVersionRow<C> {
  readonly id: string
  readonly n: number
  readonly ownerId: string
  readonly publishedAt: Instant
  readonly content: C
}

/** Lists the newest versions of these, in the bin or not, for whoever goes along any version. The caller has checked access. */
export async function listNewestVersions<C>(
  reader: Reader,
  ids: readonly string[],
): Promise<NewestVersionRow<C>[]> {
  if (ids.length === 0) return []
  const rows: (Omit<NewestVersionRow<C>, 'content'> & { content: string })[] = await reader
    .sql('offered')
    .join('offeredVersions as newest', isNewest)
    .modify(isOneOf, 'offered.id', ids)
    .orderBy('offered.id')
    .select('offered.id', 'offered.n', 'offered.ownerId', 'newest.content', 'newest.at as publishedAt')
  return rows.map(({ content, ...row }) => ({ ...row, content: JSON.parse(content) }))
}

/** Offers it to these classes, and to no others. */
export async function replaceOffers(
  trx: Trx,
  offeredId: string,
  { classIds, isForSchool }: { readonly classIds: readonly string[]; readonly isForSchool: boolean },
): Promise<void> {
  await trx.sql('offers').where({ offeredId }).delete()
  const rows = [...new Set(classIds)].map((classId) => ({ offeredId, classId }))
  if (rows.length > 0) await trx.sql('offers').insert(rows)
  await trx
    .sql('offered')
    .where({ id: offeredId })
    .update({ isForSchool: Number(isForSchool) })
}

function offersTo(
  { sql }: Reader,
  { memberships }: PersonActor,
  as: 'anybody' | 'assessor' = 'anybody',
): Knex.QueryBuilder {
  const some = as === 'anybody' ? memberships : memberships.filter(({ role }) => isAssessorRole(role))
  const classIds = some.map(({ classId }) => classId)
  return sql('offers').modify(isOneOf, 'offers.classId', classIds)
}

function isNewest(join: Knex.JoinClause): void {
  join.on('newest.offeredId', 'offered.id').andOn('newest.n', 'offered.n')
}

/** Content, and of how many questions or the like. */
interface Sized<C> {
  readonly content: C
  readonly size: number
}

function toColumns<C extends OfferedContent>({ content, size }: Sized<C>) {
  const { title, about } = content
  return {
    content: JSON.stringify(content),
    ...{ title: JSON.stringify(title), about: JSON.stringify(about), size },
  }
}

interface ListedRow {
  readonly id: string
  readonly n: number
  readonly title: string
  readonly about: string
  readonly size: number
  readonly isNewer: number
}

interface OwnRow {
  readonly ownerId: string
  readonly content: string
  readonly n: number
  readonly isNewer: number
  readonly isForSchool: number
  readonly revision: number
  readonly binnedAt: string | null
  readonly at: string | null
}

function toListed({ id, n, title, about, size }: ListedRow) {
  return { id, n, size, title: JSON.parse(title), about: JSON.parse(about) }
}
