// Giving a pass: who may look, said in sentences, and from when until when.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { Audience, Audiences, Pass, PassChange, Sharing } from '@valise/core/access'
import { useSuspenseQuery } from '@tanstack/react-query'
import { addDays, dayOf } from '@valise/core/time'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { sessionQueries } from '../people/queries.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { AudienceChoice } from './AudienceChoice.tsx'
import { PassDays } from './PassDays.tsx'
import { LinkAddress } from './LinkAddress.tsx'
import { useGivePass } from './queries.ts'
import { useAccessWords } from './useAccessWords.ts'
import styles from './GivePass.module.css'

/** How long a new link opens, unless its giver says otherwise. */
const LINK_DAYS = 30

interface GivePassDialogProps {
  readonly thing: Sharing['things'][number]
  readonly audiences: Audiences
  readonly onClose: () => void
}

export function GivePassDialog({ thing, audiences, onClose }: GivePassDialogProps) {
  const [link, setLink] = useState<Pass | null>(null)
  return (
    <Dialog open onClose={onClose} aria-labelledby="give-pass" fullWidth maxWidth="sm">
      {link ? (
        <LinkReady link={link} onClose={onClose} />
      ) : (
        <PassForm
          thing={thing}
          audiences={audiences}
          onClose={onClose}
          onGiven={(pass) => (pass.audience.kind === 'link' ? setLink(pass) : onClose())}
        />
      )}
    </Dialog>
  )
}

interface PassFormProps extends GivePassDialogProps {
  readonly onGiven: (pass: Pass) => void
}

function PassForm({ thing, audiences, onClose, onGiven }: PassFormProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const { data: school } = useSuspenseQuery(sessionQueries.school())
  const give = useGivePass()
  const [key] = useState(() => crypto.randomUUID())
  const [audience, setAudience] = useState<Audience | null>(null)
  const [days, setDays] = useState<PassChange>({ firstDay: null, lastDay: null })
  const [hasAsked, setHasAsked] = useState(false)
  const isDraft = thing.kind === 'page' && thing.publishedAt === null
  const isWhole = audience !== null && isComplete(audience)
  const onAudience = (chosen: Audience) => {
    // A link goes from hand to hand, so it is offered with an end; whoever wants none takes the day away.
    if (chosen.kind === 'link' && audience?.kind !== 'link' && days.lastDay === null)
      setDays({ ...days, lastDay: addDays(dayOf(new Date().toISOString(), school.timeZone), LINK_DAYS) })
    setAudience(chosen)
  }
  const onGive = () => {
    setHasAsked(true)
    if (!isWhole) return
    const { kind, id } = thing
    give.mutate({ thing: { kind, id }, audience, rights: ['look'], ...days, key }, { onSuccess: onGiven })
  }
  return (
    <form
      className={styles.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        onGive()
      }}
    >
      <DialogTitle id="give-pass" variant="h2">
        {t('give.title', { title: words.title(thing) })}
      </DialogTitle>
      <DialogContent>
        <AudienceChoice audiences={audiences} value={audience} hasAsked={hasAsked} onChange={onAudience} />
        <PassDays days={days} onChange={setDays} />
        <p className={styles.note}>
          {isDraft
            ? t('give.rests')
            : thing.kind === 'collection'
              ? t('give.restsCollection')
              : t('give.same')}
        </p>
        {hasAsked && audience === null ? <p role="alert">{t('give.missing')}</p> : null}
        <Refusal error={give.error} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('give.leave')}</Button>
        <Button type="submit" variant="contained" color="primary" loading={give.isPending}>
          {t('give.do')}
        </Button>
      </DialogActions>
    </form>
  )
}

function isComplete(audience: Audience): boolean {
  if (audience.kind === 'link') return audience.name.trim() !== ''
  return audience.kind === 'person' ? audience.personId !== '' : true
}

function LinkReady({ link, onClose }: { readonly link: Pass; readonly onClose: () => void }) {
  const { t } = useTranslation('access')
  return (
    <>
      <DialogTitle id="give-pass" variant="h2">
        {t('give.ready', { name: link.audience.name })}
      </DialogTitle>
      <DialogContent>
        <p>{t('give.readyLead')}</p>
        <LinkAddress path={link.address ?? ''} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" color="primary" onClick={onClose}>
          {t('give.done')}
        </Button>
      </DialogActions>
    </>
  )
}
