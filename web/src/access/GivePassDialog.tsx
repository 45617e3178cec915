// Giving a pass: who may look, said in sentences, and from when until when.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { Audience, Audiences, Pass, PassChange, Sharing } from '@valise/core/access'
import { useSuspenseQuery } from '@tanstack/react-query'
import { isDraft } from '@valise/core/collections'
import { addDays, dayOf } from '@valise/core/time'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { sessionQueries } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { AudienceChoice } from './AudienceChoice.tsx'
import { uiOf } from './audiences/uiByKind.ts'
import { PassDays } from './PassDays.tsx'
import { useGivePass } from './queries.ts'
import { sharedByKind } from './shared/sharedByKind.ts'
import { useAccessWords } from './useAccessWords.ts'
import styles from './GivePass.module.css'

interface GivePassDialogProps {
  readonly thing: Sharing['things'][number]
  readonly audiences: Audiences
  readonly onClose: () => void
}

export function GivePassDialog({ thing, audiences, onClose }: GivePassDialogProps) {
  const [given, setGiven] = useState<Pass | null>(null)
  const Given = given && uiOf(given.audience.kind).Given
  return (
    <Dialog open onClose={onClose} aria-labelledby="give-pass" fullWidth maxWidth="sm">
      {given && Given ? (
        <Given pass={given} onClose={onClose} />
      ) : (
        <PassForm
          thing={thing}
          audiences={audiences}
          onClose={onClose}
          onGiven={(pass) => (uiOf(pass.audience.kind).Given ? setGiven(pass) : onClose())}
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
  const isWhole = audience !== null && uiOf(audience.kind).isComplete(audience)
  const onAudience = (chosen: Audience) => {
    const { usualDays } = uiOf(chosen.kind)
    if (usualDays !== null && audience?.kind !== chosen.kind && days.lastDay === null)
      setDays({ ...days, lastDay: addDays(dayOf(new Date().toISOString(), school.timeZone), usualDays) })
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
        <p className={styles.note}>{t(isDraft(thing) ? 'give.rests' : sharedByKind[thing.kind].rests)}</p>
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
