// What publishing would change: structure first, then words.
import { isSame } from '../json/index.ts'
import { differenceWords } from './differenceWords.ts'
import type { WordChange } from './differenceWords.ts'
import { placedPieces } from './parts.ts'
import type { PlacedPiece } from './parts.ts'
import { definitionOf } from './pieces/pieceDefinitions.ts'
import type { Piece, PieceKind } from './pieces/pieceSchemas.ts'
import type { PageDocument, Shown } from './schema.ts'
import { visibleOf } from './shownThings.ts'

export type PageChange =
  | { readonly what: 'title'; readonly before: string; readonly after: string }
  | { readonly what: 'language'; readonly before: string; readonly after: string }
  | { readonly what: 'row-moved'; readonly row: number }
  | {
      readonly what: 'added' | 'removed' | 'moved' | 'changed'
      readonly pieceId: string
      readonly kind: PieceKind
      /** The row as readers count them, from 1: where it stands now, or stood before it was removed. */
      readonly row: number
      /** What the piece is called, where its thing has a name. */
      readonly name: string
      /** For texts: the words, in reading order. */
      readonly words: readonly WordChange[]
    }

export interface ShownDocument {
  readonly document: PageDocument
  readonly shown: Shown
}

/** Returns the changes between two states of a page in reading order; without a state before, everything is new. */
export function differencePages(before: ShownDocument | null, after: ShownDocument): PageChange[] {
  return changesBetween(before, after, wordsBetween)
}

/** Counts the changes without computing the word differences of each. */
export function countChanges(before: ShownDocument | null, after: ShownDocument): number {
  return changesBetween(before, after, () => []).length
}

function changesBetween(
  before: ShownDocument | null,
  after: ShownDocument,
  compareWords: (before: Piece, after: Piece) => WordChange[],
): PageChange[] {
  const present = placedPieces(after.document)
  if (!before) return present.map((placed) => toChange('added', placed, after))
  const changes: PageChange[] = []
  if (before.document.title !== after.document.title)
    changes.push({ what: 'title', before: before.document.title, after: after.document.title })
  if (before.document.lang !== after.document.lang)
    changes.push({ what: 'language', before: before.document.lang, after: after.document.lang })
  changes.push(...movedRows(before.document, after.document))
  const old = placedPieces(before.document)
  const earlierOf = new Map(old.map((placed) => [placed.piece.id, placed]))
  for (const placed of present) {
    const earlier = earlierOf.get(placed.piece.id)
    if (!earlier) changes.push(toChange('added', placed, after))
    else {
      if (!isSamePiece(before, earlier.piece, after, placed.piece))
        changes.push({
          ...toChange('changed', placed, after),
          words: compareWords(earlier.piece, placed.piece),
        })
      if (hasMoved(before.document, earlier, after.document, placed))
        changes.push(toChange('moved', placed, after))
    }
  }
  const ids = new Set(present.map(({ piece }) => piece.id))
  const removed = old.filter(({ piece }) => !ids.has(piece.id))
  return [...changes, ...removed.map((placed) => toChange('removed', placed, before))]
}

type PieceChange = Extract<PageChange, { pieceId: string }>

function toChange(
  what: PieceChange['what'],
  placed: PlacedPiece,
  { document, shown }: ShownDocument,
): PieceChange {
  const { piece, rowIndex } = placed
  const words = what === 'added' || what === 'removed' ? wholeText(piece, what) : []
  const name = definitionOf(piece).name(piece, shown, document.lang)
  return { what, pieceId: piece.id, kind: piece.kind, row: rowIndex + 1, name, words }
}

function wholeText(piece: Piece, how: 'added' | 'removed'): WordChange[] {
  const words = writtenIn(piece)
  return words === '' ? [] : [{ how, words }]
}

function writtenIn(piece: Piece): string {
  return definitionOf(piece).plainText(piece)
}

function wordsBetween(before: Piece, after: Piece): WordChange[] {
  const words = differenceWords(writtenIn(before), writtenIn(after))
  return words.some(({ how }) => how !== 'same') ? words : []
}

/** Whether readers see the same: the piece itself, and the things that it points at. */
function isSamePiece(before: ShownDocument, old: Piece, after: ShownDocument, piece: Piece): boolean {
  if (!isSame(withoutVersions(old), withoutVersions(piece))) return false
  return isSame(seenOf(old, before.shown), seenOf(piece, after.shown))
}

/** Following a version and holding it look the same; what is shown is compared by itself. */
function withoutVersions(piece: Piece): unknown {
  // Long texts refer to nothing, and need no copy.
  if (definitionOf(piece).references(piece).length === 0) return piece
  return JSON.parse(JSON.stringify(piece, (name, value) => (name === 'version' ? null : value)))
}

function seenOf(piece: Piece, shown: Shown): object[] {
  return definitionOf(piece)
    .references(piece)
    .map((one) => visibleOf(one, shown))
}

function movedRows(before: PageDocument, after: PageDocument): PageChange[] {
  const moved = outOfOrder(before.rows, after.rows)
  return after.rows.flatMap(({ id }, index) =>
    moved.has(id) ? [{ what: 'row-moved' as const, row: index + 1 }] : [],
  )
}

function hasMoved(before: PageDocument, old: PlacedPiece, after: PageDocument, placed: PlacedPiece): boolean {
  if (old.row.id !== placed.row.id) return true
  const row = before.rows.find(({ id }) => id === placed.row.id)
  return outOfOrder(row?.pieces ?? [], after.rows[placed.rowIndex]?.pieces ?? []).has(placed.piece.id)
}

type Parts = readonly { readonly id: string }[]

/** The fewest parts common to both lists that must have moved: those outside the longest run in the same order. */
function outOfOrder(before: Parts, after: Parts): Set<string> {
  const places = new Map(before.map(({ id }, index) => [id, index]))
  const common = after.flatMap(({ id }) => {
    const place = places.get(id)
    return place === undefined ? [] : [{ id, place }]
  })
  const best: { ids: string[]; last: number }[] = []
  for (const { id, place } of common) {
    const longest = best
      .filter(({ last }) => last < place)
      .reduce<string[]>((found, { ids }) => (ids.length > found.length ? ids : found), [])
    best.push({ ids: [...longest, id], last: place })
  }
  const unmoved = new Set(
    best.reduce<string[]>((found, { ids }) => (ids.length > found.length ? ids : found), []),
  )
  return new Set(common.map(({ id }) => id).filter((id) => !unmoved.has(id)))
}
