// The plain camera page: on a phone that lends its camera to a laptop, without an account; or on one's own, signed in.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconCamera, IconPhotoPlus, IconVideo } from '@tabler/icons-react'
import type { LentCamera } from '@valise/core/evidence'
import type { Language } from '@valise/core/people'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { chooseFiles } from '../evidence/chooseFiles.ts'
import { sessionQueries } from '../people/queries.ts'
import { Loading } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { speak } from '../words/i18n.ts'
import { gatherQueries } from './queries.ts'
import { sendFromPhone } from './sendFromPhone.ts'
import { useObjectUrl } from './useObjectUrl.ts'
import styles from './CameraScreen.module.css'

export function CameraScreen() {
  const lent = useQuery(gatherQueries.lent())
  const session = useQuery({ ...sessionQueries.me(), enabled: lent.isError })
  const language = lent.data?.language
  useEffect(() => {
    if (language === 'en' || language === 'es') void speak(language satisfies Language)
  }, [language])
  if (lent.data) return <Camera lent={lent.data} send={sendFromPhone} />
  if (lent.isPending || (lent.isError && session.isPending)) return <Loading />
  if (session.data?.state === 'signed-in') return <OwnCamera name={session.data.firstName} />
  return <Over error={lent.error} />
}

/** Signed in, what is taken goes the way of every file: it can be gone on with over a bad line. */
function OwnCamera({ name }: { readonly name: string }) {
  const send = async (file: File) => {
    const { sendOwn } = await import('./sendOwn.ts')
    await sendOwn(file)
  }
  return <Camera lent={{ firstName: name, endsAt: null }} send={send} />
}

interface CameraProps {
  readonly lent: Pick<LentCamera, 'firstName'> & { readonly endsAt: string | null }
  readonly send: (file: File) => Promise<void>
}

type Taken = { readonly file: File; readonly state: 'going' | 'there' | 'refused'; readonly error: unknown }

function Camera({ lent, send }: CameraProps) {
  const { t } = useTranslation('gather')
  const [taken, setTaken] = useState<readonly Taken[]>([])
  const put = (file: File, state: Taken['state'], error: unknown = null) =>
    setTaken((before) => [{ file, state, error }, ...before.filter((one) => one.file !== file)])
  const bring = async (file: File) => {
    put(file, 'going')
    await send(file).then(
      () => put(file, 'there'),
      (error: unknown) => put(file, 'refused', error),
    )
  }
  const take = async (what: 'camera' | 'film' | 'any') => {
    const files = await chooseFiles(
      what === 'any' ? { several: true, accept: 'image/*,video/*' } : { camera: true, film: what === 'film' },
    )
    for (const file of files) await bring(file)
  }
  return (
    <main className={styles.camera}>
      <h1>{t('camera.title', { name: lent.firstName })}</h1>
      <p>{t(lent.endsAt === null ? 'camera.ownLead' : 'camera.lead')}</p>
      <Button
        variant="contained"
        color="primary"
        className={styles.main ?? ''}
        startIcon={<IconCamera size={26} stroke={1.7} />}
        onClick={() => void take('camera')}
      >
        {t('camera.photo')}
      </Button>
      <div className={styles.others}>
        <Button startIcon={<IconVideo size={20} stroke={1.7} />} onClick={() => void take('film')}>
          {t('camera.film')}
        </Button>
        <Button startIcon={<IconPhotoPlus size={20} stroke={1.7} />} onClick={() => void take('any')}>
          {t('camera.choose')}
        </Button>
      </div>
      <ul aria-label={t('camera.taken')}>
        {taken.map((one) => (
          <TakenRow
            key={one.file.name + one.file.lastModified}
            one={one}
            onAgain={() => void bring(one.file)}
          />
        ))}
      </ul>
    </main>
  )
}

function TakenRow({ one, onAgain }: { readonly one: Taken; readonly onAgain: () => void }) {
  const { t } = useTranslation('gather')
  const { file, state, error } = one
  const address = useObjectUrl(file)
  return (
    <li>
      {address && file.type.startsWith('image/') ? <img src={address} alt="" /> : <span />}
      <span role="status">{t(`camera.states.${state}`)}</span>
      {state === 'refused' ? (
        <>
          <Refusal error={error} />
          <Button size="small" onClick={onAgain}>
            {t('camera.again')}
          </Button>
        </>
      ) : null}
    </li>
  )
}

function Over({ error }: { readonly error: unknown }) {
  const { t } = useTranslation('gather')
  return (
    <main className={styles.camera}>
      <h1>{t('camera.overTitle')}</h1>
      <Refusal error={error} />
      <RouterLink to="/">{t('camera.signIn')}</RouterLink>
    </main>
  )
}
