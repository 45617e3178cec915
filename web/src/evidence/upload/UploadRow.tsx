// One file on its way from this window.
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { cleanFileName } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSize } from '../../ui/useSize.ts'
import { useCarryMany, trayQueries } from '../base/index.ts'
import { giveUp, goOn, pause } from './sendFiles.ts'
import { isUploading } from './uploadsHere.ts'
import type { UploadHere } from './uploadsHere.ts'
import styles from './UploadList.module.css'

export function UploadRow({ upload }: { readonly upload: UploadHere }) {
  const { t } = useTranslation('evidence')
  const { key, file, state, sent, outcome, problem } = upload
  const name = cleanFileName(file.name)
  // What cannot be mended from here is not offered to be tried again.
  const mayGoOn =
    problem !== null && ['unreachable', 'signed-out', 'no-space', 'too-many', 'busy'].includes(problem.code)
  return (
    <li className={styles.row}>
      <div className={styles.name}>
        <bdi>{name}</bdi>
        <UploadState upload={upload} />
      </div>
      <div className={styles.verbs}>
        {outcome?.kind === 'same' ? <IntoTray id={outcome.evidenceId} name={name} /> : null}
        {outcome ? (
          <Link component={RouterLink} to={`/evidence/${outcome.evidenceId}`}>
            {t('uploads.show')}
          </Link>
        ) : null}
        {mayGoOn ? (
          <Button size="small" onClick={() => goOn(key)}>
            {t('uploads.goOn')}
          </Button>
        ) : null}
        {isUploading(upload) ? (
          <Button size="small" onClick={() => (state === 'paused' ? goOn(key) : void pause(key))}>
            {t(state === 'paused' ? 'uploads.resume' : 'uploads.pause')}
            <span className="only-heard"> {name}</span>
          </Button>
        ) : null}
        {state === 'arrived' ? null : (
          <Button size="small" variant="text" onClick={() => void giveUp(key)}>
            {isUploading(upload) ? t('uploads.stop') : t('uploads.remove')}
            <span className="only-heard"> {name}</span>
          </Button>
        )}
      </div>
      {isUploading(upload) ? (
        <LinearProgress
          className={styles.bar ?? ''}
          variant="determinate"
          value={(100 * sent) / file.size}
          aria-label={t('uploads.progressOf', { name })}
        />
      ) : null}
      {problem ? <Refusal error={problem} /> : null}
    </li>
  )
}

/** What one has already is offered for use, where it would have gone. */
function IntoTray({ id, name }: { readonly id: string; readonly name: string }) {
  const { t } = useTranslation('evidence')
  const carry = useCarryMany()
  const { data: tray } = useQuery(trayQueries.all())
  if (tray?.some((item) => item.id === id)) return null
  return (
    <Button size="small" loading={carry.isPending} onClick={() => carry.mutate([id])}>
      {t('tray.in')}
      <span className="only-heard"> {name}</span>
    </Button>
  )
}

function UploadState({ upload }: { readonly upload: UploadHere }) {
  const { t } = useTranslation('evidence')
  const size = useSize()
  const { state, sent, file, outcome } = upload
  switch (state) {
    case 'waiting':
      return <small>{t('uploads.waiting', { size: size(file.size) })}</small>
    case 'going':
      return <small>{t('uploads.going', { sent: size(sent), size: size(file.size) })}</small>
    case 'pausing':
      return <small data-state="pausing">{t('uploads.pausing')}</small>
    case 'paused':
      return (
        <small data-state="paused">{t('uploads.paused', { sent: size(sent), size: size(file.size) })}</small>
      )
    case 'arrived':
      return <small data-state="arrived">{t(`uploads.became.${outcome?.kind ?? 'new'}`)}</small>
    case 'refused':
      return null
  }
}
