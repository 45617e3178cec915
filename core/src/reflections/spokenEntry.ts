// Recordings that are told in an entry: they stand first, each in a row of its own.
import { isFilePiece } from '../pages/index.ts'
import type { Operation, PageDocument, PieceOf, Row } from '../pages/index.ts'

// By their ids, so that two windows that record at once never make the same row.
const isSpoken = ({ id }: Row) => id.startsWith('spoken-')

/** Returns the operations that put a recording into an entry, below those that it has already. */
export function speakInto({ rows }: PageDocument, piece: PieceOf<'file'>): Operation[] {
  const row = { id: `spoken-${piece.id.slice(-12)}`, pieces: [piece] }
  return [{ op: 'insert-row', row, after: rows.findLast(isSpoken)?.id ?? null }]
}

/** Returns the recordings that are told in an entry. */
export function spokenIn({ rows }: PageDocument): PieceOf<'file'>[] {
  return rows.filter(isSpoken).flatMap(({ pieces }) => pieces.filter(isFilePiece))
}
