// The address of a new link, to be passed on.
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useTranslation } from 'react-i18next'
import { LinkAddress } from '../../LinkAddress.tsx'
import type { GivenProps } from '../AudienceUi.ts'

export function LinkReady({ pass, onClose }: GivenProps) {
  const { t } = useTranslation('access')
  return (
    <>
      <DialogTitle id="give-pass" variant="h2">
        {t('give.ready', { name: pass.audience.name })}
      </DialogTitle>
      <DialogContent>
        <p>{t('give.readyLead')}</p>
        <LinkAddress path={pass.address ?? ''} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" color="primary" onClick={onClose}>
          {t('give.done')}
        </Button>
      </DialogActions>
    </>
  )
}
