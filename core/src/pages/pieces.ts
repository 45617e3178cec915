// What the kinds of pieces say about one piece, and about a document as its readers see it.
import type { CreditLine } from '../evidence/index.ts'
import { nothingShown, piecesShown, placedPieces } from './parts.ts'
import { definitionOf, pieceKinds } from './pieces/pieceDefinitions.ts'
import type { HandOut, NewlyShown, PlayedRecording } from './pieces/PieceDefinition.ts'
import type { Piece, PieceKind } from './pieces/pieceSchemas.ts'
import type { PageDocument, Shown } from './schema.ts'

/**
 * Makes the piece that shows an item. It follows the newest version.
 *
 * @param span columns of twelve; as wide as usual where it is left out
 * @param kind the kind of piece; where it is left out, the first that accepts such items
 * @throws RangeError when no piece, or not one of this kind, shows such items
 */
export function newEvidencePiece(id: string, item: NewlyShown, span?: number, kind?: PieceKind): Piece {
  const kinds = kind === undefined ? pieceKinds : [kind]
  for (const one of kinds) {
    const { evidence } = definitionOf<Piece>({ kind: one })
    if (evidence?.accepts.includes(item.kind)) return evidence.create(id, item, span)
  }
  throw new RangeError(`no piece shows evidence of the kind ${item.kind}`)
}

/** Returns whether a picture has no alternative text: neither its piece nor, where known, its item. */
export function lacksAlternative(piece: Piece, shown: Shown = nothingShown): boolean {
  return definitionOf(piece)
    .descriptions(piece, shown)
    .some(({ isOwed }) => isOwed)
}

/** Returns the recordings in a document that have no transcript, without duplicates. */
export function listUntranscribed(document: PageDocument, shown: Shown): PlayedRecording[] {
  const owing = placedPieces(document).flatMap(({ piece }) => definitionOf(piece).untranscribed(piece, shown))
  return [...new Map(owing.map((recording) => [recording.id, recording])).values()]
}

export interface PlacedHandOut {
  readonly pieceId: string
  readonly handOut: HandOut
}

/**
 * Returns every file that readers of a page can fetch through it, entries included, in reading order; once, where an
 * entry stands there by itself and in its logbook.
 */
export function handOutsOf(document: PageDocument, shown: Shown): PlacedHandOut[] {
  const placed = piecesShown(document, shown).flatMap((piece) =>
    definitionOf(piece)
      .handsOut(piece, shown)
      .map((handOut) => ({ pieceId: piece.id, handOut })),
  )
  return [...new Map(placed.map((one) => [JSON.stringify([one.pieceId, one.handOut.name]), one])).values()]
}

/** Returns the credit lines of a page in reading order, without duplicates. */
export function creditsOf(document: PageDocument, shown: Shown): CreditLine[] {
  const lines = piecesShown(document, shown).flatMap((piece) => definitionOf(piece).credits(piece, shown))
  return [...new Map(lines.map((line) => [JSON.stringify(line), line])).values()]
}
