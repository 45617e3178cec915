// Finding the parts of a document, and what all its pieces together refer to.
import { definitionOf } from './pieces/pieceDefinitions.ts'
import type { Reference } from './pieces/PieceDefinition.ts'
import { linkAddressesIn } from './richText.ts'
import type { Piece } from './pieces/pieceSchemas.ts'
import type { PageDocument, Row, Shown } from './schema.ts'
import { isReferenceShown } from './shownThings.ts'
import { DOCUMENT_SCHEMA } from './valueLists.ts'

export interface PlacedPiece {
  readonly piece: Piece
  readonly row: Row
  /** From 0. */
  readonly rowIndex: number
  readonly index: number
}

export function newDocument(title: string, lang: PageDocument['lang'], rows: Row[] = []): PageDocument {
  return { schema: DOCUMENT_SCHEMA, title, lang, rows }
}

export const nothingShown: Shown = { evidence: {}, entries: {} }

export function placedPieces(document: PageDocument): PlacedPiece[] {
  return document.rows.flatMap((row, rowIndex) =>
    row.pieces.map((piece, index) => ({ piece, row, rowIndex, index })),
  )
}

export function findPiece(document: PageDocument, pieceId: string): PlacedPiece | null {
  return placedPieces(document).find(({ piece }) => piece.id === pieceId) ?? null
}

export function hasRow(document: PageDocument, rowId: string): boolean {
  return document.rows.some(({ id }) => id === rowId)
}

/** Returns the pieces that readers see, in reading order: those of the page, and of the entries that stand on it. */
export function piecesShown(document: PageDocument, shown: Shown): Piece[] {
  return placedPieces(document).flatMap(({ piece }) => {
    const within = definitionOf(piece).documentsIn(piece, shown).flatMap(placedPieces)
    return [piece, ...within.map((placed) => placed.piece)]
  })
}

export type EvidenceReference = Extract<Reference, { thing: 'evidence' }>

/** Returns where a document shows items, in reading order. */
export function evidenceReferences(document: PageDocument): EvidenceReference[] {
  return referencesOf(document).flatMap((one) => (one.thing === 'evidence' ? [one] : []))
}

/** Returns the ids of the items that a document shows, without duplicates. */
export function evidenceIdsOf(document: PageDocument): string[] {
  return [...new Set(evidenceReferences(document).map(({ id }) => id))]
}

export function entryIdsOf(document: PageDocument): string[] {
  return [...new Set(referencesOf(document).flatMap((one) => (one.thing === 'entry' ? [one.id] : [])))]
}

export type LogbookReference = Extract<Reference, { thing: 'logbook' }>

/** Returns where a document shows logbooks, in reading order. */
export function logbookReferences(document: PageDocument): LogbookReference[] {
  return referencesOf(document).flatMap((one) => (one.thing === 'logbook' ? [one] : []))
}

/** Returns the ids of the logbooks that a document shows, without duplicates. */
export function logbookIdsOf(document: PageDocument): string[] {
  return [...new Set(logbookReferences(document).map(({ id }) => id))]
}

/** Returns the addresses that the texts of a document link to. */
export function linkAddressesOf(document: PageDocument): string[] {
  const texts = placedPieces(document).flatMap(({ piece }) => definitionOf(piece).texts(piece))
  return [...new Set(texts.flatMap(linkAddressesIn))]
}

/** Returns whether everything that a piece points at is among what is shown. */
export function isShown(piece: Piece, shown: Shown): boolean {
  return definitionOf(piece)
    .references(piece)
    .every((one) => isReferenceShown(one, shown))
}

export type CaptionedPiece = Extract<Piece, { readonly caption: string }>

export function isCaptioned(piece: Piece): piece is CaptionedPiece {
  return 'caption' in piece
}

function referencesOf(document: PageDocument): Reference[] {
  return placedPieces(document).flatMap(({ piece }) => definitionOf(piece).references(piece))
}
