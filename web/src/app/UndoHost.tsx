// Shows the undo that is offered, whatever screen is open.
import { UndoNote } from '../ui/UndoNote.tsx'
import { undoOffer } from '../ui/undoOffer.ts'

export function UndoHost() {
  const offer = undoOffer.use()
  if (!offer) return null
  const close = () => undoOffer.set(null)
  return (
    <UndoNote
      key={offer.words}
      words={offer.words}
      onUndo={() => {
        close()
        offer.undo()
      }}
      onGone={close}
    />
  )
}
