// Finding again: one query drives the list, the counts beside the filters and the choice of all that it finds.
import { evidenceMarks, MOST_CHOSEN, tallyCounts, tallyWeeks, toTagKey } from '@valise/core/evidence'
import type {
  EvidenceCounts,
  EvidenceKind,
  EvidenceMark,
  EvidenceOrder,
  EvidencePage,
  EvidenceQuery,
  EvidenceRow,
  LikeItems,
} from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { endOfDay, startOfDay } from '@valise/core/time'
import type { LocalDay, Zone } from '@valise/core/time'
import type { Knex } from 'knex'
import { sharedEvidence } from '../access/index.ts'
import { countRows, isOneOf, isOneOfNumbers, parseCursor, toCursor } from '../database/index.ts'
import type { PageWish, Reader } from '../database/index.ts'
import { getSchool } from '../people/index.ts'
import { findRows } from '../search/index.ts'
import { ownEvidence, toEvidenceRow, withVersion } from './store.ts'
import type { EvidenceRecord } from './store.ts'

/** Lists one page of a search. */
export async function findItems(
  reader: Reader,
  actor: PersonActor,
  query: EvidenceQuery,
  { cursor, limit }: PageWish,
): Promise<EvidencePage> {
  const found = saved(reader, actor).modify(matches, await toMatching(reader, actor, query))
  const page = withVersion(reader, found.clone(), actor).limit(limit + 1)
  const { column, direction } = orders[query.order]
  page.orderBy([column, 'id'].map((one) => ({ column: `evidence.${one}`, order: direction })))
  if (cursor !== undefined) after(page, query.order, parseCursor(cursor, 2))
  const rows: EvidenceRecord[] = await page
  const items = rows.slice(0, limit)
  const last = items.at(-1)
  return {
    items: items.map(toEvidenceRow),
    next: rows.length > limit && last ? toCursor([valueOf(last, query.order), last.id]) : null,
    count: await countRows(found),
  }
}

/** Lists the ids of a search in its order, at most as many as can be selected at once. */
export async function findIds(reader: Reader, actor: PersonActor, query: EvidenceQuery): Promise<string[]> {
  const { column, direction } = orders[query.order]
  const rows: { id: string }[] = await saved(reader, actor)
    .modify(matches, await toMatching(reader, actor, query))
    .orderBy([column, 'id'].map((one) => ({ column: `evidence.${one}`, order: direction })))
    .select('evidence.id')
    .limit(MOST_CHOSEN)
  return rows.map(({ id }) => id)
}

/**
 * Counts for the filters. The database groups items that are equal in everything that filters ask for, over one
 * covering index; the core adds the groups up.
 */
export async function countItems(
  reader: Reader,
  actor: PersonActor,
  query: EvidenceQuery,
): Promise<EvidenceCounts> {
  const matching = await toMatching(reader, actor, query)
  const hasDays = query.from !== null || query.until !== null
  // What the groups themselves tell apart is counted from them, and left out of the condition.
  const marks = query.marks.filter((mark) => mark !== 'shared')
  const grouped: EvidenceQuery = {
    ...query,
    kinds: [],
    marks: query.marks.filter((mark) => mark === 'shared'),
  }
  const anyTime = { ...grouped, from: null, until: null }
  const ever = await listGroups({ ...matching, query: anyTime })
  const inTime = hasDays ? await listGroups({ ...matching, query: grouped }) : ever
  const chosen = { kinds: query.kinds, marks }
  const tallied = tallyCounts(inTime, chosen)
  const shared = await countRows(
    saved(reader, actor).modify(matches, matching).whereIn('evidence.id', sharedEvidence(reader, actor)),
  )
  return {
    all: isNarrowed(anyTime) ? await countRows(saved(reader, actor)) : sumOf(ever),
    matching: tallied.matching,
    kinds: Object.entries(tallied.kinds).map(([kind, count]) => ({ kind: kind as EvidenceKind, count })),
    marks: { ...tallied.marks, shared },
    weeks: tallyWeeks(ever, chosen),
  }
}

async function listGroups(matching: Matching): Promise<LikeItems[]> {
  const columns = ['kind', 'madeWeek', ...Object.values(markColumns)]
  const rows: GroupRow[] = await saved(matching.reader, matching.actor)
    .modify(matches, matching)
    .groupBy(columns.map((column) => `evidence.${column}`))
    .select(columns.map((column) => `evidence.${column}`))
    .count({ count: '*' })
  return rows.map((row) => ({
    kind: row.kind,
    week: row.madeWeek,
    marks: evidenceMarks.filter((mark) => mark !== 'shared' && row[markColumns[mark]] === 1),
    count: Number(row.count),
  }))
}

/** The mark of an item as its column says it; whether it is shared follows from passes, which no column can know. */
const markColumns = {
  unused: 'isUnused',
  'no-rights': 'lacksRights',
  'no-alternative': 'lacksAlternative',
  alike: 'looksAlike',
} as const satisfies Record<Exclude<EvidenceMark, 'shared'>, string>

type GroupRow = { readonly [C in (typeof markColumns)[keyof typeof markColumns]]: number } & {
  readonly kind: EvidenceKind
  readonly madeWeek: LocalDay
  readonly count: number | string
}

const orders = {
  latest: { column: 'madeAt', direction: 'desc' },
  oldest: { column: 'madeAt', direction: 'asc' },
  arrived: { column: 'createdAt', direction: 'desc' },
  title: { column: 'titleKey', direction: 'asc' },
} as const satisfies Record<EvidenceOrder, object>

function valueOf(row: EvidenceRecord, order: EvidenceOrder): string {
  if (order === 'title') return row.titleKey
  return order === 'arrived' ? row.itemCreatedAt : row.madeAt
}

function after(
  page: Knex.QueryBuilder,
  order: EvidenceOrder,
  [value = '', id = '']: readonly string[],
): void {
  const { column, direction } = orders[order]
  const beyond = direction === 'desc' ? '<' : '>'
  // Row values let the index seek straight to the place.
  page.whereRaw(`(??, ??) ${beyond} (?, ?)`, [`evidence.${column}`, 'evidence.id', value, id])
}

interface Matching {
  readonly reader: Reader
  readonly actor: PersonActor
  readonly query: EvidenceQuery
  readonly zone: Zone
  /** Where the words of the query are, or null where it has none. */
  readonly rows: readonly number[] | null
}

async function toMatching(reader: Reader, actor: PersonActor, query: EvidenceQuery): Promise<Matching> {
  const zone = (await getSchool(reader)).timeZone
  const rows = query.words === '' ? null : await findRows(reader, actor.personId, query.words)
  return { reader, actor, query, zone, rows }
}

function matches(items: Knex.QueryBuilder, { reader, actor, query, zone, rows }: Matching): void {
  const { kinds, tags, tagged, classId, from, until, marks, likeId } = query
  if (kinds.length > 0) items.whereIn('evidence.kind', [...kinds])
  if (classId !== null) items.where('evidence.classId', classId)
  if (from !== null) items.where('evidence.madeAt', '>=', startOfDay(from, zone))
  if (until !== null) items.where('evidence.madeAt', '<', endOfDay(until, zone))
  if (tags.length > 0) items.whereIn('evidence.id', taggedWith(reader, actor, tags, tagged))
  if (likeId !== null)
    items.where((like) =>
      like
        .where('evidence.id', likeId)
        .orWhereIn(
          'evidence.id',
          reader.sql('nearDuplicates').where({ evidenceId: likeId }).select('otherId'),
        ),
    )
  for (const mark of marks) {
    if (mark === 'shared') items.whereIn('evidence.id', sharedEvidence(reader, actor))
    else items.where(`evidence.${markColumns[mark]}`, 1)
  }
  if (rows !== null) items.modify(isOneOfNumbers, 'evidence.searchRow', rows)
}

function taggedWith(
  reader: Reader,
  actor: PersonActor,
  tags: readonly string[],
  tagged: 'any' | 'all',
): Knex.QueryBuilder {
  const keys = [...new Set(tags.map(toTagKey))]
  const some = reader
    .sql('evidenceTags')
    .where('ownerId', actor.personId)
    .whereIn('tagKey', keys)
    .select('evidenceId')
  if (tagged === 'any' || keys.length === 1) return some
  return some.groupBy('evidenceId').havingRaw('count(*) = ?', [keys.length])
}

/** Lists items by their ids as lists show them, binned or not. */
export async function listItems(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<EvidenceRow[]> {
  if (ids.length === 0) return []
  const own = ownEvidence(reader, actor).modify(isOneOf, 'evidence.id', ids)
  const rows: EvidenceRecord[] = await withVersion(reader, own, actor).orderBy('evidence.id')
  return rows.map(toEvidenceRow)
}

function saved(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return ownEvidence(reader, actor).where('evidence.isBinned', 0)
}

function isNarrowed({ words, tags, classId, marks, likeId }: EvidenceQuery): boolean {
  return words !== '' || tags.length > 0 || classId !== null || marks.length > 0 || likeId !== null
}

function sumOf(groups: readonly LikeItems[]): number {
  return groups.reduce((sum, { count }) => sum + count, 0)
}
