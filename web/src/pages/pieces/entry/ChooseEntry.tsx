// Choosing the entry that a page is to show.
import { newEntryPiece } from '@valise/core/pages'
import { EntryChooser } from '../../../reflections/index.ts'
import { usePageActs } from '../../usePageEditor.ts'
import type { ChooserProps } from '../PieceUi.ts'

export function ChooseEntry({ onAdded, onClose }: ChooserProps) {
  const { add } = usePageActs()
  return (
    <EntryChooser
      onChoose={(entryId) => {
        add([newEntryPiece(crypto.randomUUID(), entryId)])
        onAdded()
      }}
      onClose={onClose}
    />
  )
}
