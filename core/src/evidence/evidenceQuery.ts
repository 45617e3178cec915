// What is looked for among one's evidence, and its form in an address: the same one for the screen and for the API.
import type { LocalDay } from '../time/index.ts'
import { cleanTags } from './tags.ts'
import { evidenceKinds, evidenceMarks, evidenceOrders } from './valueLists.ts'
import type { EvidenceKind, EvidenceMark, EvidenceOrder } from './valueLists.ts'

export interface EvidenceQuery {
  /** Words that stand in titles, statements, tags, texts beside pictures, transcripts and inside documents. */
  readonly words: string
  /** Any of these; none means all. */
  readonly kinds: readonly EvidenceKind[]
  readonly tags: readonly string[]
  /** Whether an item carries all of the tags, or at least one. */
  readonly tagged: 'any' | 'all'
  readonly classId: string | null
  /** Days of making, both included, in the zone of the school. */
  readonly from: LocalDay | null
  readonly until: LocalDay | null
  /** All of these hold. */
  readonly marks: readonly EvidenceMark[]
  /** The item that the found ones look like; itself is among them. */
  readonly likeId: string | null
  readonly order: EvidenceOrder
}

export const everything: EvidenceQuery = {
  words: '',
  kinds: [],
  tags: [],
  tagged: 'any',
  classId: null,
  from: null,
  until: null,
  marks: [],
  likeId: null,
  order: 'latest',
}

/** The parameter names in a search address. */
export const queryNames = [
  'words',
  'kind',
  'tag',
  'tagged',
  'class',
  'from',
  'until',
  'only',
  'like',
  'order',
] as const
export type QueryParameters = { readonly [N in (typeof queryNames)[number]]?: string | undefined }

/** Parses a search from address parameters. Unknown values are ignored, so that old addresses still work. */
export function readEvidenceQuery(parameters: QueryParameters): EvidenceQuery {
  const { words = '', kind, tag = '', tagged, from, until, only, like, order } = parameters
  return {
    words: words.trim(),
    kinds: knownIn(evidenceKinds, kind),
    tags: cleanTags([tag]),
    tagged: tagged === 'all' ? 'all' : 'any',
    classId: parameters.class || null,
    from: dayIn(from),
    until: dayIn(until),
    marks: knownIn(evidenceMarks, only),
    likeId: like || null,
    order: evidenceOrders.find((one) => one === order) ?? 'latest',
  }
}

/** Returns the address parameters of a search, without defaults; a search for everything has none. */
export function writeEvidenceQuery(query: EvidenceQuery): QueryParameters {
  const { words, kinds, tags, tagged, classId, from, until, marks, likeId, order } = query
  return {
    ...(words !== '' && { words }),
    ...(kinds.length > 0 && { kind: inOrder(evidenceKinds, kinds).join(',') }),
    ...(tags.length > 0 && { tag: tags.join(',') }),
    ...(tags.length > 1 && tagged === 'all' && { tagged }),
    ...(classId !== null && { class: classId }),
    ...(from !== null && { from }),
    ...(until !== null && { until }),
    ...(marks.length > 0 && { only: inOrder(evidenceMarks, marks).join(',') }),
    ...(likeId !== null && { like: likeId }),
    ...(order !== 'latest' && { order }),
  }
}

/** Returns whether a search matches everything; its order does not matter. */
export function isEverything(query: EvidenceQuery): boolean {
  return Object.keys(writeEvidenceQuery({ ...query, order: 'latest' })).length === 0
}

/** Splits a search into folded words, at most twelve; the last one may be a prefix. */
export function toSearchWords(words: string): string[] {
  const folded = words
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase()
  return (folded.match(/[\p{L}\p{N}]+/gu) ?? []).slice(0, 12)
}

function knownIn<T extends string>(known: readonly T[], text: string | undefined): T[] {
  const asked = (text ?? '').split(',')
  return known.filter((one) => asked.includes(one))
}

function inOrder<T extends string>(order: readonly T[], some: readonly T[]): T[] {
  return order.filter((one) => some.includes(one))
}

function dayIn(text: string | undefined): LocalDay | null {
  return text !== undefined && /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))
    ? text
    : null
}
