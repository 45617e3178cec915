// A logbook of one's own, in the page editor.
import { IconBooks } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import type { PieceUi } from '../PieceUi.ts'
import { ChooseLogbook } from './ChooseLogbook.tsx'
import { entryChoicePanel } from './EntryChoice.tsx'
import { OpenLogbook } from './OpenLogbook.tsx'

export const logbookUi: PieceUi<PieceOf<'logbook'>> = {
  icon: IconBooks,
  add: { Chooser: ChooseLogbook },
  panels: [entryChoicePanel],
  Tools: OpenLogbook,
  Editor: null,
}
