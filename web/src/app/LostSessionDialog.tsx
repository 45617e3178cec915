// The session ended while a screen was open: sign in over it, and nothing on it is lost.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQueryClient } from '@tanstack/react-query'
import type { SignedIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { SignInForm } from '../people/index.ts'
import { leavePage, useSession, regainSession } from '../session/index.ts'

export function LostSessionDialog() {
  const { t } = useTranslation()
  const client = useQueryClient()
  const before = useSession()

  function goOn(session: SignedIn) {
    // Somebody else must not find what the first person had open.
    if (session.personId !== before.personId) return leavePage()
    regainSession()
    void client.invalidateQueries()
  }

  return (
    <Dialog open aria-labelledby="lost-title" maxWidth="xs" fullWidth>
      <DialogTitle id="lost-title" variant="h2">
        {t('lost.title')}
      </DialogTitle>
      <DialogContent>
        <p>{t('lost.text')}</p>
        <SignInForm submit={t('lost.signIn')} onSignedIn={goOn} />
        <Button variant="text" sx={{ mt: 3 }} onClick={leavePage}>
          {t('lost.leave')}
        </Button>
      </DialogContent>
    </Dialog>
  )
}
