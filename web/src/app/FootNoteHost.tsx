// Shows the note at the foot, whatever screen is open, with what can be done about it.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Snackbar from '@mui/material/Snackbar'
import { IconX } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { footNote, runFootNote } from '../ui/footNote.ts'
import { useProblemWords } from '../ui/useProblemWords.ts'

const USUAL_MS = 20_000

export function FootNoteHost() {
  const { t } = useTranslation('app')
  const { sentence } = useProblemWords()
  const note = footNote.use()
  if (!note) return null
  const { words, error, action, staysMs = USUAL_MS } = note
  const isRefusal = error !== undefined
  const close = () => footNote.set(null)
  return (
    <Snackbar
      key={words}
      open
      autoHideDuration={isRefusal ? null : staysMs}
      onClose={(_event, reason) => reason !== 'clickaway' && close()}
      message={isRefusal ? `${words} ${sentence(error)}` : words}
      action={
        <>
          {action ? (
            <Button
              size="small"
              variant="text"
              sx={{ color: 'var(--stitch-base)' }}
              onClick={() => void runFootNote()}
            >
              {t(`actions.${action.label}`)}
            </Button>
          ) : null}
          {isRefusal ? (
            <IconButton color="inherit" aria-label={t('actions.close')} onClick={close}>
              <IconX size={18} stroke={1.7} />
            </IconButton>
          ) : null}
        </>
      }
    />
  )
}
