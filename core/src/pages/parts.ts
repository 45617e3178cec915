// Finding the parts of a document, and telling whether two parts say the same.
import { linkAddressesIn } from './richText.ts'
import type { PageDocument, Piece, Row, Shown } from './schema.ts'
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

/** Returns the ids of the items that a document shows, without duplicates. */
export function evidenceIdsOf(document: PageDocument): string[] {
  const ids = placedPieces(document).flatMap(({ piece }) => ('evidenceId' in piece ? [piece.evidenceId] : []))
  return [...new Set(ids)]
}

/** Returns the addresses that the texts of a document link to. */
export function linkAddressesOf(document: PageDocument): string[] {
  const texts = placedPieces(document).flatMap(({ piece }) => (piece.kind === 'text' ? [piece.text] : []))
  return [...new Set(texts.flatMap(linkAddressesIn))]
}

export function entryIdsOf(document: PageDocument): string[] {
  const ids = placedPieces(document).flatMap(({ piece }) => (piece.kind === 'entry' ? [piece.entryId] : []))
  return [...new Set(ids)]
}
