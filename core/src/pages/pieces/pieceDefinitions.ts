// The list of the kinds of pieces, with what each says about its pieces.
import { answerPiece } from './answer/answerPiece.ts'
import { entryPiece } from './entry/entryPiece.ts'
import { filePiece } from './file/filePiece.ts'
import { logbookPiece } from './logbook/logbookPiece.ts'
import { linePiece } from './line/linePiece.ts'
import type { PieceDefinition } from './PieceDefinition.ts'
import type { Piece, PieceKind, PieceOf } from './pieceSchemas.ts'
import { picturePiece } from './picture/picturePiece.ts'
import { textPiece } from './text/textPiece.ts'

const pieceDefinitions = {
  text: textPiece,
  picture: picturePiece,
  file: filePiece,
  entry: entryPiece,
  logbook: logbookPiece,
  line: linePiece,
  answer: answerPiece,
} satisfies { [K in PieceKind]: PieceDefinition<PieceOf<K>> }

/** The kinds in the order in which they are offered. */
// The list has exactly these keys, which `Object.keys` does not say.
export const pieceKinds = Object.keys(pieceDefinitions) as PieceKind[]

export function definitionOf<P extends Piece>({ kind }: Pick<P, 'kind'>): PieceDefinition<P> {
  // The definition under a kind is that of pieces of this kind, which the compiler does not follow.
  return pieceDefinitions[kind] as unknown as PieceDefinition<P>
}
