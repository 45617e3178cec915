// How much stands on a page, counted so that writing in a long one stays quick.
import type { Piece } from './pieces/pieceSchemas.ts'
import type { PageDocument } from './schema.ts'

/** Pieces never change, so each is counted once. */
const sizes = new WeakMap<Piece, number>()

/** Returns the size of a document in characters of its JSON; see `LONGEST_DOCUMENT`. */
export function documentSize({ title, rows }: PageDocument): number {
  return rows.reduce(
    (sum, row) => sum + row.pieces.reduce((inRow, piece) => inRow + pieceSize(piece), 0),
    title.length,
  )
}

function pieceSize(piece: Piece): number {
  const known = sizes.get(piece)
  if (known !== undefined) return known
  const size = JSON.stringify(piece).length
  sizes.set(piece, size)
  return size
}
