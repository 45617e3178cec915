// Written text, in the page editor.
import { IconTextSize } from '@tabler/icons-react'
import { newTextPiece } from '@valise/core/pages'
import type { PieceOf } from '@valise/core/pages'
import type { PieceParts } from '../PieceParts.ts'
import { TextLanguage } from './TextLanguage.tsx'
import { WrittenText } from './WrittenText.tsx'

export const textParts: PieceParts<PieceOf<'text'>> = {
  icon: IconTextSize,
  add: { start: (id) => newTextPiece(id) },
  panels: [],
  Tools: TextLanguage,
  Editor: WrittenText,
}
