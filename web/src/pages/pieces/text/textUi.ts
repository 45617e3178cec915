// Written text, in the page editor.
import { IconTextSize } from '@tabler/icons-react'
import { newTextPiece } from '@valise/core/pages'
import type { PieceOf } from '@valise/core/pages'
import type { PieceUi } from '../PieceUi.ts'
import { TextLanguage } from './TextLanguage.tsx'
import { WrittenText } from './WrittenText.tsx'

export const textUi: PieceUi<PieceOf<'text'>> = {
  icon: IconTextSize,
  add: { start: (id) => newTextPiece(id) },
  panels: [],
  Tools: TextLanguage,
  Editor: WrittenText,
}
