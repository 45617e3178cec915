// The phone as the laptop's camera: a code that opens once, and what the phone brings, as it comes.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { PHONE_LINK_MINUTES } from '@valise/core/evidence'
import type { PhoneLink } from '@valise/core/evidence'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { tellChanged } from '../api/index.ts'
import { evidenceQueries, Thumbnail } from '../evidence/base/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { noteArrival } from '../evidence/upload/index.ts'
import { gatheredStyles as gathered } from '../evidence/upload/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import { endLending, gatherQueries, lendCamera } from './queries.ts'
import { QrCode } from './QrCode.tsx'
import { toLanding } from './toLanding.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

export function PhoneDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const lend = useMutation({ mutationFn: () => lendCamera(toLanding(place)) })
  const { mutate } = lend
  useEffect(() => mutate(), [mutate])
  return (
    <SourceDialog
      title={t('phone.title')}
      cancel={t('phone.close')}
      onClose={() => void endLending().catch(() => undefined)}
    >
      <Refusal error={lend.error} />
      {lend.data ? (
        <Lent key={lend.data.id} link={lend.data} place={place} onAgain={() => lend.mutate()} />
      ) : (
        <Loading />
      )}
    </SourceDialog>
  )
}

interface LentProps extends SourceProps {
  readonly link: PhoneLink
  readonly onAgain: () => void
}

function Lent({ link, place, onAgain }: LentProps) {
  const { t } = useTranslation('gather')
  const { data } = useQuery(gatherQueries.phone(link.id))
  const state = data?.state ?? 'open'
  const arrived = data?.arrived ?? []
  useArrivals(arrived, place)
  return (
    <>
      {state === 'open' ? (
        <div className={styles.code}>
          <p>{t('phone.lead', { count: PHONE_LINK_MINUTES })}</p>
          <QrCode text={link.address} label={t('phone.code')} />
          <Link href={link.address} target="_blank" rel="noopener">
            {link.address}
          </Link>
        </div>
      ) : (
        <p role="status">{t(state === 'lent' ? 'phone.there' : 'phone.over')}</p>
      )}
      {state === 'ended' ? (
        <div>
          <Button onClick={onAgain}>{t('phone.again')}</Button>
        </div>
      ) : null}
      {arrived.length > 0 ? (
        <div className={gathered.gathered}>
          <h2>{t('phone.arrived', { count: arrived.length })}</h2>
          <ul>
            {arrived.map((id) => (
              <Arrived key={id} id={id} />
            ))}
          </ul>
        </div>
      ) : null}
    </>
  )
}

function Arrived({ id }: { readonly id: string }) {
  const { data } = useQuery(evidenceQueries.one(id))
  if (!data) return null
  return (
    <li>
      <span className={gathered.picture}>
        <Thumbnail item={data} />
      </span>
      <span>{data.version.fileName}</span>
    </li>
  )
}

/** Each thing lands once, in the very place the laptop is in. */
function useArrivals(arrived: readonly string[], place: LentProps['place']): void {
  const client = useQueryClient()
  const navigate = useNavigate()
  const landed = useRef(new Set<string>())
  useEffect(() => {
    for (const id of arrived.filter((one) => !landed.current.has(one))) {
      landed.current.add(id)
      void tellChanged(client, ['evidence'])
      if (place.onSaved) {
        place.onSaved(id)
        endGathering()
        return
      }
      noteArrival(id)
      if (window.location.pathname.startsWith('/evidence')) void navigate(`/evidence/${id}`)
    }
  }, [arrived, client, navigate, place])
}
