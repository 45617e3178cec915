// What was just done, with the way back, at the foot of the screen.
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import { useTranslation } from 'react-i18next'

const UNDO_MS = 20_000

interface UndoNoteProps {
  readonly words: string
  readonly onUndo: () => void
  readonly onGone: () => void
}

export function UndoNote({ words, onUndo, onGone }: UndoNoteProps) {
  const { t } = useTranslation('app')
  return (
    <Snackbar
      open
      autoHideDuration={UNDO_MS}
      onClose={(_event, reason) => reason !== 'clickaway' && onGone()}
      message={words}
      action={
        <Button size="small" variant="text" sx={{ color: 'var(--stitch-base)' }} onClick={onUndo}>
          {t('actions.undo')}
        </Button>
      }
    />
  )
}
