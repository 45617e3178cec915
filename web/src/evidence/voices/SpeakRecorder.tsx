// Recording a voice over a thing: one speaks, and marks what one speaks of by pressing on it.
import Button from '@mui/material/Button'
import {
  IconFlag,
  IconPlayerPause,
  IconPlayerPlay,
  IconPlayerRecord,
  IconPlayerStop,
} from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { LevelMeter, MediaHelp } from '../../media/index.ts'
import { toPlayTime } from '../base/index.ts'
import type { SpeakOverProps } from './SpeakOver.tsx'
import { useSpeakRecorder } from './useSpeakRecorder.ts'
import styles from './SpeakOver.module.css'

export interface SpeakRecorderProps extends SpeakOverProps {
  readonly onClose: () => void
}

export function SpeakRecorder({ item, speaking, canPoint, film, onClose }: SpeakRecorderProps) {
  const { t } = useTranslation(['evidence', 'gather'])
  const { media, recorder, address, start, stop, again, save } = useSpeakRecorder({
    item,
    speaking,
    film,
    onClose,
  })
  const { state, lengthMs } = recorder
  if (media.trouble) return <MediaHelp trouble={media.trouble} what="microphone" onAgain={media.askAgain} />
  if (state === 'ended')
    return (
      <div className={styles.recorder}>
        {address ? <audio src={address} controls aria-label={t('gather:record.recorded')} /> : null}
        <span>{t('voice.moments', { count: speaking.moments.length })}</span>
        <Button size="small" onClick={again}>
          {t('gather:record.again')}
        </Button>
        <Button size="small" variant="contained" color="primary" autoFocus onClick={save}>
          {t('gather:keep')}
        </Button>
      </div>
    )
  const isRunning = state === 'running'
  return (
    <div className={styles.recorder}>
      {state === 'ready' ? (
        <Button
          size="small"
          variant="contained"
          color="primary"
          startIcon={<IconPlayerRecord size={18} stroke={1.7} />}
          disabled={media.stream === null}
          onClick={start}
        >
          {t('gather:record.start')}
        </Button>
      ) : (
        <>
          <Button
            size="small"
            startIcon={
              isRunning ? (
                <IconPlayerPause size={18} stroke={1.7} />
              ) : (
                <IconPlayerPlay size={18} stroke={1.7} />
              )
            }
            onClick={isRunning ? recorder.pause : recorder.goOn}
          >
            {t(isRunning ? 'gather:record.pause' : 'gather:record.goOn')}
          </Button>
          <Button
            size="small"
            startIcon={<IconFlag size={18} stroke={1.7} />}
            onClick={() => speaking.point(null, filmMsOf(film?.() ?? null))}
          >
            {t('voice.mark')}
          </Button>
          <Button size="small" startIcon={<IconPlayerStop size={18} stroke={1.7} />} onClick={stop}>
            {t('gather:record.end')}
          </Button>
        </>
      )}
      <span role="timer">{toPlayTime(lengthMs)}</span>
      {media.stream ? <LevelMeter stream={media.stream} /> : null}
      <span className={styles.hint}>{t(canPoint ? 'voice.hintPoint' : 'voice.hintMark')}</span>
      {state === 'ready' ? (
        <Button size="small" variant="text" onClick={onClose}>
          {t('voice.leave')}
        </Button>
      ) : null}
    </div>
  )
}

/** Returns the position of a video, in milliseconds. */
export function filmMsOf(film: HTMLVideoElement | null): number | null {
  return film ? Math.round(film.currentTime * 1000) : null
}
