// What changed between two states of a part, piece by piece and word by word.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { PageChange } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { ChangeList } from '../pages/index.ts'

interface SinceDialogProps {
  readonly title: string
  readonly changes: readonly PageChange[]
  readonly onClose: () => void
}

export function SinceDialog({ title, changes, onClose }: SinceDialogProps) {
  const { t } = useTranslation('app')
  return (
    <Dialog open onClose={onClose} aria-labelledby="since-title" maxWidth="sm" fullWidth>
      <DialogTitle id="since-title" variant="h2">
        {title}
      </DialogTitle>
      <DialogContent>
        <ChangeList changes={changes} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('actions.close')}</Button>
      </DialogActions>
    </Dialog>
  )
}
