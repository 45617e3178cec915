// Choosing the logbook that a page is to show, or starting one for it.
import { newLogbookPiece } from '@valise/core/pages'
import { LogbookChooser } from '../../../reflections/index.ts'
import { usePage, usePageActs } from '../../usePageEditor.ts'
import type { ChooserProps } from '../PieceUi.ts'

export function ChooseLogbook({ onAdded, onClose }: ChooserProps) {
  const { add } = usePageActs()
  const { draft } = usePage()
  return (
    <LogbookChooser
      newTitle={draft.document.title}
      onChoose={(logbookId) => {
        add([newLogbookPiece(crypto.randomUUID(), logbookId)])
        onAdded()
      }}
      onClose={onClose}
    />
  )
}
