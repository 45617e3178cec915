// One voice over a thing: heard, with the moments at which it points at something, which one can go to and name.
import Button from '@mui/material/Button'
import type { Moment, Voice } from '@valise/core/evidence'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { fileAddress, useVoiceOver } from '../base/index.ts'
import { findDuration } from './findDuration.ts'
import { MomentList } from './MomentList.tsx'
import type { SpeakOverProps } from './SpeakOver.tsx'
import styles from './SpeakOver.module.css'

export function SpokenVoice({
  item,
  voice,
  n,
  speaking,
  film,
}: SpeakOverProps & { readonly voice: Voice; readonly n: number }) {
  const { t } = useTranslation('evidence')
  const player = useRef<HTMLAudioElement>(null)
  const over = useVoiceOver(item.id)
  useEffect(() => {
    if (player.current) return findDuration(player.current)
  }, [])
  const change = (moments: Moment[]) =>
    over.change.mutate({ voiceId: voice.id, revision: voice.revision, moments })
  const goTo = ({ atMs, filmMs }: Moment) => {
    if (!player.current) return
    player.current.currentTime = atMs / 1000
    const shown = film?.()
    if (shown && filmMs !== null) shown.currentTime = filmMs / 1000
    speaking.hear(voice.moments, atMs)
  }
  return (
    <section className={styles.voice} aria-label={t('voice.one', { n })}>
      <audio
        ref={player}
        src={fileAddress(voice.id, voice.n)}
        controls
        preload="metadata"
        aria-label={t('voice.one', { n })}
        onTimeUpdate={(event) => speaking.hear(voice.moments, event.currentTarget.currentTime * 1000)}
      />
      <Button size="small" variant="text" onClick={() => over.takeOff.mutate({ voiceId: voice.id })}>
        {t('voice.takeOff')}
      </Button>
      {voice.moments.length > 0 ? <MomentList moments={voice.moments} onGo={goTo} onChange={change} /> : null}
      <Refusal error={over.change.error ?? over.takeOff.error} />
    </section>
  )
}
