// One pass: its days, its address where it is a link, and its end.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { Pass, PassChange, Sharing } from '@valise/core/access'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { LinkAddress } from './LinkAddress.tsx'
import { PassDays } from './PassDays.tsx'
import { usePassActs } from './queries.ts'
import { useAccessWords } from './useAccessWords.ts'
import styles from './GivePass.module.css'

interface PassDialogProps {
  readonly pass: Pass
  readonly sharing: Sharing
  readonly onClose: () => void
}

export function PassDialog({ pass, sharing, onClose }: PassDialogProps) {
  const { t } = useTranslation(['access', 'app'])
  const words = useAccessWords()
  const { changeDays, end, renew } = usePassActs(pass)
  const { firstDay, lastDay } = pass
  const [days, setDays] = useState<PassChange>({ firstDay, lastDay })
  const thing = sharing.things.find(({ id }) => id === pass.thing.id)
  const title = thing ? words.title(thing) : ''
  const hasEnded = pass.state === 'ended'
  const isSame = days.firstDay === firstDay && days.lastDay === lastDay
  return (
    <Dialog open onClose={onClose} aria-labelledby="one-pass" fullWidth maxWidth="sm">
      <DialogTitle id="one-pass" variant="h2">
        {words.audience(pass)}
        <small className={styles.of}>
          {title}, {words.time(pass)}
        </small>
      </DialogTitle>
      <DialogContent>
        {pass.isForbidden ? <p className={styles.forbidden}>{t('pass.forbidden')}.</p> : null}
        {hasEnded ? null : (
          <>
            {pass.address === null ? null : (
              <section className={styles.link}>
                <LinkAddress path={pass.address} />
                <Button variant="text" loading={renew.isPending} onClick={() => renew.mutate()}>
                  {t('manage.renew')}
                </Button>
                <small>{t('manage.renewHint')}</small>
              </section>
            )}
            <PassDays days={days} begun={pass.state === 'running' ? pass.from : null} onChange={setDays} />
            <div className={styles.end}>
              <Button
                color="error"
                loading={end.isPending}
                onClick={() => end.mutate(undefined, { onSuccess: onClose })}
              >
                {t('manage.end')}
              </Button>
              <small>{t('manage.endHint')}</small>
            </div>
          </>
        )}
        <Refusal error={changeDays.error ?? end.error ?? renew.error} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('app:actions.close')}</Button>
        {hasEnded ? null : (
          <Button
            variant="contained"
            color="primary"
            disabled={isSame}
            loading={changeDays.isPending}
            onClick={() => changeDays.mutate(days, { onSuccess: onClose })}
          >
            {t('manage.keep')}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  )
}
