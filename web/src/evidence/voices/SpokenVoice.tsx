// One voice over a thing: heard, with the moments at which it points at something, which one can go to and name.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import TextField from '@mui/material/TextField'
import { IconX } from '@tabler/icons-react'
import type { Moment, Voice } from '@valise/core/evidence'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSavedText } from '../../ui/useSavedText.ts'
import { fileAddress, toPlayTime, useVoiceOver } from '../base/index.ts'
import { findDuration } from './findDuration.ts'
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
      {voice.moments.length > 0 ? (
        <ol className={styles.moments}>
          {voice.moments.map((moment, at) => (
            <MomentRow
              // Two moments may be at one time; their place in the list is what tells them apart.
              key={`${moment.atMs}-${at}`}
              {...{ moment, n: at }}
              onGo={() => goTo(moment)}
              onSay={(words) =>
                change(voice.moments.map((one, place) => (place === at ? { ...one, words } : one)))
              }
              onDrop={() => change(voice.moments.filter((_, place) => place !== at))}
            />
          ))}
        </ol>
      ) : null}
      <Refusal error={over.change.error ?? over.takeOff.error} />
    </section>
  )
}

interface MomentRowProps {
  readonly moment: Moment
  readonly n: number
  readonly onGo: () => void
  readonly onSay: (words: string) => void
  readonly onDrop: () => void
}

function MomentRow({ moment, n, onGo, onSay, onDrop }: MomentRowProps) {
  const { t } = useTranslation('evidence')
  const saved = useSavedText(moment.words, onSay)
  const time = toPlayTime(moment.atMs)
  return (
    <li>
      <Button size="small" aria-label={t('voice.goTo', { n: n + 1, time })} onClick={onGo}>
        {n + 1} · {time}
      </Button>
      <TextField
        size="small"
        fullWidth
        placeholder={t('voice.what')}
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: 200, 'aria-label': t('voice.whatAt', { time }) } }}
      />
      <IconButton size="small" aria-label={t('voice.dropMoment', { time })} onClick={onDrop}>
        <IconX size={16} stroke={1.7} />
      </IconButton>
    </li>
  )
}
