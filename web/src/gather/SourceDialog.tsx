// The frame of a way in: its name, its content, and its verbs at the foot.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { endGathering } from './gathering.ts'
import styles from './SourceDialog.module.css'

interface SourceDialogProps {
  readonly title: string
  readonly maxWidth?: 'sm' | 'md'
  readonly children: ReactNode
  /** What stands beside *Cancel*. */
  readonly acts?: ReactNode
  readonly cancel?: string
  /** Called before it closes; false keeps it open. */
  readonly onClose?: () => boolean | void
}

export function SourceDialog({ title, maxWidth = 'sm', children, acts, cancel, onClose }: SourceDialogProps) {
  const { t } = useTranslation('app')
  const isNarrow = useMediaQuery('(max-width: 767.95px)')
  const close = () => {
    if (onClose?.() !== false) endGathering()
  }
  return (
    <Dialog
      open
      fullScreen={isNarrow}
      onClose={(_event, reason) => {
        // A press beside the dialog must not throw away what was just taken or typed.
        if (reason === 'escapeKeyDown') close()
      }}
      aria-labelledby="source-title"
      fullWidth
      maxWidth={maxWidth}
    >
      <DialogTitle id="source-title" variant="h2">
        {title}
      </DialogTitle>
      <DialogContent className={styles.content ?? ''}>{children}</DialogContent>
      <DialogActions>
        <Button variant="text" onClick={close}>
          {cancel ?? t('actions.cancel')}
        </Button>
        {acts}
      </DialogActions>
    </Dialog>
  )
}
