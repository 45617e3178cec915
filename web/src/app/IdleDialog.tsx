// The question before an idle sign-out.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useTranslation } from 'react-i18next'
import { signOut, leavePage } from '../session/index.ts'

interface IdleDialogProps {
  readonly minutesLeft: number
  stay(): void
}

export function IdleDialog({ minutesLeft, stay }: IdleDialogProps) {
  const { t } = useTranslation()
  return (
    <Dialog open onClose={stay} role="alertdialog" aria-labelledby="idle-title">
      <DialogTitle id="idle-title" variant="h2">
        {t('idle.title')}
      </DialogTitle>
      <DialogContent>{t('idle.text', { count: minutesLeft })}</DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={() => void signOut().catch(leavePage)}>{t('idle.leave')}</Button>
        <Button variant="contained" color="primary" onClick={stay}>
          {t('idle.stay')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
