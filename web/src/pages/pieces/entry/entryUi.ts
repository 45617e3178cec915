// An entry of a logbook, in the page editor.
import { IconNotebook } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import type { PieceUi } from '../PieceUi.ts'
import { ChooseEntry } from './ChooseEntry.tsx'

export const entryUi: PieceUi<PieceOf<'entry'>> = {
  icon: IconNotebook,
  add: { Chooser: ChooseEntry },
  panels: [],
  Tools: null,
  Editor: null,
}
