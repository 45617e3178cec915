// The list of the kinds of pieces, with what each brings to the page editor.
import type { Piece, PieceKind, PieceOf } from '@valise/core/pages'
import { entryParts } from './entry/entryParts.ts'
import { fileParts } from './file/fileParts.tsx'
import { lineParts } from './line/lineParts.ts'
import type { PieceParts } from './PieceParts.ts'
import { pictureParts } from './picture/pictureParts.tsx'
import { textParts } from './text/textParts.ts'

export const partsByKind = {
  text: textParts,
  picture: pictureParts,
  file: fileParts,
  entry: entryParts,
  line: lineParts,
} satisfies { [K in PieceKind]: PieceParts<PieceOf<K>> }

export function partsOf<P extends Piece>({ kind }: Pick<P, 'kind'>): PieceParts<P> {
  // The parts under a kind are those of pieces of this kind, which the compiler does not follow.
  return partsByKind[kind] as unknown as PieceParts<P>
}
