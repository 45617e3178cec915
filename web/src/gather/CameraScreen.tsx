// The plain camera page: on a phone that lends its camera to a laptop, without an account; or on one's own, signed in.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconCamera, IconPhotoPlus, IconVideo } from '@tabler/icons-react'
import type { LentCamera } from '@valise/core/evidence'
import type { Language } from '@valise/core/people'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { areJustTaken, chooseFiles } from '../evidence/upload/index.ts'
import { sessionQueries } from '../session/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { speak } from '../words/i18n.ts'
import { useObjectUrl } from '../media/index.ts'
import { gatherQueries } from './queries.ts'
import { sendFromPhone } from './sendFromPhone.ts'
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
  const send = async (file: File, isMine: boolean) => {
    const { sendOwn } = await import('./sendOwn.ts')
    await sendOwn(file, isMine)
  }
  return <Camera lent={{ firstName: name, endsAt: null }} send={send} />
}

interface CameraProps {
  readonly lent: Pick<LentCamera, 'firstName'> & { readonly endsAt: string | null }
  /** Whether it was taken here, and so is its sender's own work, is told along. */
  readonly send: (file: File, isMine: boolean) => Promise<void>
}

type Taken = {
  readonly file: File
  readonly isMine: boolean
  readonly state: 'going' | 'there' | 'refused'
  readonly error: unknown
}

function Camera({ lent, send }: CameraProps) {
  const { t } = useTranslation('gather')
  const [taken, setTaken] = useState<readonly Taken[]>([])
  const put = (next: Taken) => setTaken((before) => [next, ...before.filter((one) => one.file !== next.file)])
  const bring = async (one: Pick<Taken, 'file' | 'isMine'>) => {
    put({ ...one, state: 'going', error: null })
    await send(one.file, one.isMine).then(
      () => put({ ...one, state: 'there', error: null }),
      (error: unknown) => put({ ...one, state: 'refused', error }),
    )
  }
  const take = async (what: 'camera' | 'film' | 'any') => {
    const openedAt = Date.now()
    const files = await chooseFiles(
      what === 'any' ? { several: true, accept: 'image/*,video/*' } : { camera: true, film: what === 'film' },
    )
    const isMine = what !== 'any' && areJustTaken(files, openedAt)
    for (const file of files) await bring({ file, isMine })
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
          <TakenRow key={one.file.name + one.file.lastModified} one={one} onAgain={() => void bring(one)} />
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
