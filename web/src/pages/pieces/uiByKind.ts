// The list of the kinds of pieces, with what each brings to the page editor.
import type { Piece, PieceKind, PieceOf } from '@valise/core/pages'
import { answerUi } from './answer/answerUi.ts'
import { entryUi } from './entry/entryUi.ts'
import { fileUi } from './file/fileUi.tsx'
import { logbookUi } from './logbook/logbookUi.ts'
import { lineUi } from './line/lineUi.ts'
import type { PieceUi } from './PieceUi.ts'
import { pictureUi } from './picture/pictureUi.tsx'
import { textUi } from './text/textUi.ts'

const uiByKind = {
  text: textUi,
  picture: pictureUi,
  file: fileUi,
  entry: entryUi,
  logbook: logbookUi,
  line: lineUi,
  answer: answerUi,
} satisfies { [K in PieceKind]: PieceUi<PieceOf<K>> }

export function uiOf<P extends Piece>({ kind }: Pick<P, 'kind'>): PieceUi<P> {
  // What stands under a kind is that of pieces of this kind, which the compiler does not follow.
  return uiByKind[kind] as unknown as PieceUi<P>
}
