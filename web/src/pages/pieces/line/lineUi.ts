// A line across the page, in the page editor.
import { IconMinus } from '@tabler/icons-react'
import { newLinePiece } from '@valise/core/pages'
import type { PieceOf } from '@valise/core/pages'
import type { PieceUi } from '../PieceUi.ts'

export const lineUi: PieceUi<PieceOf<'line'>> = {
  icon: IconMinus,
  add: { start: newLinePiece },
  panels: [],
  Tools: null,
  Editor: null,
}
