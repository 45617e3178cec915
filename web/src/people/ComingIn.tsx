// How a person comes in: password, sign-in link, and whether they may come in at all.
import Button from '@mui/material/Button'
import Stack from '@mui/material/Stack'
import TextField from '@mui/material/TextField'
import type { Person, SignInLink } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Done } from '../ui/Done.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useEndPerson, useSignInLink } from './queries.ts'
import styles from './PersonScreen.module.css'

export function ComingIn({ person }: { readonly person: Person }) {
  const { t } = useTranslation('people')
  const when = useWhen()
  const link = useSignInLink(person.id)
  return (
    <Stack spacing={4} useFlexGap sx={{ alignItems: 'flex-start', '& > *': { my: 0 } }}>
      <h2 className={styles.heading}>{t('detail.comingIn')}</h2>
      {person.endedAt === null ? (
        <>
          <p>{person.hasPassword ? t('detail.hasPassword') : t('detail.noPassword')}</p>
          <Button loading={link.isPending} onClick={() => link.mutate()}>
            {t('detail.link')}
          </Button>
          <Refusal error={link.error} />
          {link.data ? <LinkMade person={person} link={link.data} /> : null}
        </>
      ) : (
        <p>{t('detail.isEnded', { day: when.day(person.endedAt) })}</p>
      )}
      <EndOrResume person={person} />
    </Stack>
  )
}

function LinkMade({ person, link }: { readonly person: Person; readonly link: SignInLink }) {
  const { t } = useTranslation(['people', 'app'])
  const when = useWhen()
  const [isCopied, setIsCopied] = useState(false)
  const words = { name: person.firstName, until: when.dayTime(link.until) }
  const { address } = link
  if (address === null) return <Done>{t('detail.linkSent', words)}</Done>
  return (
    <>
      <TextField
        size="small"
        fullWidth
        label={t('detail.linkMade', words)}
        value={address}
        slotProps={{
          input: { readOnly: true },
          htmlInput: { onFocus: (event: React.FocusEvent<HTMLInputElement>) => event.target.select() },
        }}
      />
      <Button onClick={() => void navigator.clipboard.writeText(address).then(() => setIsCopied(true))}>
        {t('app:actions.copy')}
      </Button>
      <Done>{isCopied ? t('app:actions.copied') : null}</Done>
    </>
  )
}

/** Ending asks once, in place, because it signs somebody out at once. */
function EndOrResume({ person }: { readonly person: Person }) {
  const { t } = useTranslation(['people', 'app'])
  const end = useEndPerson(person.id)
  const [isAsking, setIsAsking] = useState(false)
  const { revision } = person
  const change = (ended: boolean) => end.mutate({ revision, ended }, { onSuccess: () => setIsAsking(false) })
  return (
    <>
      <Refusal error={end.error} />
      {person.endedAt !== null ? (
        <Button loading={end.isPending} onClick={() => change(false)}>
          {t('detail.resume')}
        </Button>
      ) : isAsking ? (
        <div role="group" aria-label={t('detail.end')}>
          <p>{t('detail.endQuestion', { name: person.firstName })}</p>
          <Stack direction="row" spacing={2}>
            <Button autoFocus onClick={() => setIsAsking(false)}>
              {t('app:actions.cancel')}
            </Button>
            <Button color="error" loading={end.isPending} onClick={() => change(true)}>
              {t('detail.end')}
            </Button>
          </Stack>
        </div>
      ) : (
        <Button variant="text" onClick={() => setIsAsking(true)}>
          {t('detail.end')}
        </Button>
      )}
    </>
  )
}
