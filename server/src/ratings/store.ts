// Self-ratings in the database: those read out of a document, and all of one set over time.
import type { PersonActor } from '@valise/core/people'
import type { RatedSet, Rating, RatingInDocument, RatingList, StoredRating } from '@valise/core/ratings'
import type { LocalDay } from '@valise/core/time'
import type { Knex } from 'knex'
import { isOneOf, parseCursor, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'

const MOST_SETS = 200

/** Lists the ratings that were read out of a document before, those that it no longer shows included. */
export async function listOfThing({ sql }: Reader, thingId: string): Promise<StoredRating[]> {
  const rows: RatingColumns[] = await sql('attributeRatings').where({ thingId }).orderBy(['pieceId', 'n'])
  return rows.map((row) => ({
    ...toRating(row),
    ...{ id: row.id, pieceId: row.pieceId, n: row.n, day: row.day },
    ...{ changedOn: row.changedOn, isGone: row.isGone === 1 },
  }))
}

/** Inserts a rating, which belongs to whoever owns its document. */
export async function insert(
  trx: Trx,
  thingId: string,
  { n, day, changedOn, ...rating }: RatingInDocument & Pick<StoredRating, 'n' | 'day' | 'changedOn'>,
): Promise<void> {
  const { ownerId } = await trx.sql('things').where({ id: thingId }).first('ownerId')
  const row = { id: trx.newId(), ownerId, thingId, n, day, changedOn, isGone: 0, ...toColumns(rating) }
  await trx.sql('attributeRatings').insert(row)
}

export async function update(
  trx: Trx,
  { id, ...rating }: RatingInDocument & Pick<StoredRating, 'id'>,
): Promise<void> {
  await trx.sql('attributeRatings').where({ id }).update(toColumns(rating))
}

/** Hides the ratings of these pieces, or shows them again. */
export async function setGone(
  trx: Trx,
  thingId: string,
  pieceIds: readonly string[],
  isGone: boolean,
): Promise<void> {
  if (pieceIds.length === 0) return
  await trx
    .sql('attributeRatings')
    .where({ thingId })
    .modify(isOneOf, 'pieceId', pieceIds)
    .update({ isGone: Number(isGone) })
}

/** Moves the first ratings of a document to the day that it tells of now; later ones keep the day on which they were made. */
export async function moveFirst(trx: Trx, thingId: string, day: LocalDay): Promise<void> {
  await trx.sql('attributeRatings').where({ thingId, n: 1 }).update({ day })
}

/** Lists the sets that somebody rated themselves by, the latest first. */
export async function listRatedSets(reader: Reader, actor: PersonActor): Promise<RatedSet[]> {
  const rows: { setId: string; attribute: string; count: number | string; lastDay: LocalDay }[] =
    await ownRatings(reader, actor)
      .groupBy('setId')
      .select('setId')
      .max({ attribute: 'attribute', lastDay: 'day' })
      .count({ count: '*' })
      .orderBy([{ column: 'lastDay', order: 'desc' }, { column: 'setId' }])
      .limit(MOST_SETS)
  return rows.map(({ setId, attribute, count, lastDay }) => ({
    ...{ id: setId, title: JSON.parse(attribute).setTitle, ratings: Number(count), lastDay },
  }))
}

/** Lists one page of somebody's ratings of a set, the oldest first. */
export async function listRatings(
  reader: Reader,
  actor: PersonActor,
  setId: string,
  { cursor, limit }: PageWish,
): Promise<RatingList> {
  const page = ownRatings(reader, actor)
    .where({ setId })
    .join('things', 'things.id', 'attributeRatings.thingId')
    .orderBy(['day', 'attributeRatings.id'])
    .limit(limit + 1)
    .select('attributeRatings.*', 'things.kind as thingKind', 'things.title as thingTitle')
  if (cursor !== undefined) {
    const [day = '', id = ''] = parseCursor(cursor, 2)
    page.whereRaw('(??, ??) > (?, ?)', ['day', 'attributeRatings.id', day, id])
  }
  const rows: ListedColumns[] = await page
  const shown = rows.slice(0, limit)
  const last = shown.at(-1)
  return {
    items: shown.map(toListed),
    next: rows.length > limit && last ? toCursor([last.day, last.id]) : null,
  }
}

/** Those that their documents show, which are not in the bin. */
function ownRatings({ sql }: Reader, { personId }: PersonActor): Knex.QueryBuilder {
  return sql('attributeRatings')
    .where({ 'attributeRatings.ownerId': personId, isGone: 0 })
    .whereNotIn('thingId', sql('things').where({ ownerId: personId, isBinned: 1 }).select('id'))
}

function toColumns({ pieceId, attribute, name, step, reason, evidenceIds }: RatingInDocument) {
  return {
    ...{ pieceId, setId: attribute.setId, attributeId: attribute.id, reason },
    ...{ attribute: JSON.stringify(attribute), name: JSON.stringify(name), step: JSON.stringify(step) },
    evidenceIds: JSON.stringify(evidenceIds),
  }
}

interface RatingColumns {
  readonly id: string
  readonly thingId: string
  readonly pieceId: string
  readonly n: number
  readonly day: LocalDay
  readonly changedOn: LocalDay
  readonly isGone: number
  readonly attribute: string
  readonly name: string
  readonly step: string
  readonly reason: string
  readonly evidenceIds: string
}

interface ListedColumns extends RatingColumns {
  readonly thingKind: Rating['thingKind']
  readonly thingTitle: string
}

function toRating({ pieceId, attribute, name, step, reason, evidenceIds }: RatingColumns): RatingInDocument {
  return {
    ...{ pieceId, reason, attribute: JSON.parse(attribute), name: JSON.parse(name) },
    ...{ step: JSON.parse(step), evidenceIds: JSON.parse(evidenceIds) },
  }
}

function toListed(row: ListedColumns): Rating {
  const { id, thingId, thingKind, thingTitle, n, day } = row
  const { attribute, evidenceIds, ...rating } = toRating(row)
  return {
    ...{ id, thingId, thingKind, thingTitle, n, day, ...rating },
    ...{ attributeId: attribute.id, evidenceIds: [...evidenceIds] },
  }
}
