// Asks whoever leaves the bench while a suggestion is neither used nor turned down.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogContentText from '@mui/material/DialogContentText'
import DialogTitle from '@mui/material/DialogTitle'
import type { PictureRecipe } from '@valise/core/pictures'
import { useEffect, useId } from 'react'
import { useTranslation } from 'react-i18next'
import { useBlocker } from 'react-router'
import { regionsOf } from './recipeChanges.ts'

interface LeaveProposalDialogProps {
  /** The recipe that is suggested and not saved. */
  readonly recipe: PictureRecipe
  readonly onUse: () => void
}

export function LeaveProposalDialog({ recipe, onUse }: LeaveProposalDialogProps) {
  const { t } = useTranslation('bench')
  const titleId = useId()
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname,
  )
  // A closed window can be asked about by the browser alone.
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [])
  if (blocker.state !== 'blocked') return null
  const count = regionsOf(recipe).length
  return (
    <Dialog open onClose={() => blocker.reset()} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {t('leaving.title')}
      </DialogTitle>
      <DialogContent>
        <DialogContentText>
          {count > 0 ? t('leaving.names', { count }) : t('leaving.plain')}
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={() => blocker.reset()}>
          {t('leaving.stay')}
        </Button>
        <Button onClick={() => blocker.proceed()}>{t('leaving.without')}</Button>
        <Button
          variant="contained"
          color="primary"
          onClick={() => {
            onUse()
            blocker.proceed()
          }}
        >
          {t('leaving.use')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
