// An answer to a question, in the page editor. It is written in its entry.
import { IconMessageQuestion } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import type { PieceUi } from '../PieceUi.ts'

export const answerUi: PieceUi<PieceOf<'answer'>> = {
  icon: IconMessageQuestion,
  add: null,
  panels: [],
  Tools: null,
  Editor: null,
}
