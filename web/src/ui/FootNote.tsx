// A note at the foot of the screen, with what can be done about it.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Snackbar from '@mui/material/Snackbar'
import { IconX } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'

const USUAL_MS = 20_000

interface FootNoteProps {
  readonly words: string
  readonly action?: { readonly label: 'undo' | 'open'; readonly run: () => void }
  /** How long it stays, in milliseconds; null for until it is closed. */
  readonly staysMs?: number | null
  readonly onGone: () => void
}

export function FootNote({ words, action, staysMs = USUAL_MS, onGone }: FootNoteProps) {
  const { t } = useTranslation('app')
  return (
    <Snackbar
      open
      autoHideDuration={staysMs}
      onClose={(_event, reason) => reason !== 'clickaway' && onGone()}
      message={words}
      action={
        <>
          {action ? (
            <Button size="small" variant="text" sx={{ color: 'var(--stitch-base)' }} onClick={action.run}>
              {t(`actions.${action.label}`)}
            </Button>
          ) : null}
          {staysMs === null ? (
            <IconButton color="inherit" aria-label={t('actions.close')} onClick={onGone}>
              <IconX size={18} stroke={1.7} />
            </IconButton>
          ) : null}
        </>
      }
    />
  )
}
