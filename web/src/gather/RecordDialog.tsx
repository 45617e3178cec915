// Recording film or voice: choose the device, see or hear that it works, record, pause, listen, keep or do it again.
import Button from '@mui/material/Button'
import {
  IconFlag,
  IconPlayerPause,
  IconPlayerPlay,
  IconPlayerRecord,
  IconPlayerStop,
} from '@tabler/icons-react'
import { MOST_MOMENTS } from '@valise/core/evidence'
import type { MarkedMoment } from '@valise/core/pages'
import { useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { addFiles } from '../evidence/upload/index.ts'
import { toPlayTime } from '../evidence/base/index.ts'
import {
  DeviceChoice,
  LevelMeter,
  MediaHelp,
  useMedia,
  useObjectUrl,
  useRecorder,
  Viewfinder,
} from '../media/index.ts'
import type { Recorder } from '../media/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

export function FilmDialog({ place }: SourceProps) {
  return <RecordDialog what="film" place={place} />
}

export function VoiceDialog({ place }: SourceProps) {
  return <RecordDialog what="voice" place={place} />
}

function RecordDialog({ what, place }: SourceProps & { readonly what: 'film' | 'voice' }) {
  const { t } = useTranslation('gather')
  const isFilm = what === 'film'
  const media = useMedia({ camera: isFilm, microphone: true })
  const recorder = useRecorder(media.stream, what)
  const { state, file, lengthMs } = recorder
  const address = useObjectUrl(file)
  const [moments, setMoments] = useState<readonly MarkedMoment[]>([])
  const isOver = state === 'ended'
  const again = () => {
    setMoments([])
    recorder.again()
  }
  const save = () => {
    if (file) {
      const durationMs = Math.round(lengthMs)
      const { onRecorded, ...landing } = place
      void addFiles([file], {
        ...{ ...landing, isMine: true, durationMs, onArrived: () => void recorder.letGo() },
        ...(onRecorded && { onSaved: (id: string) => onRecorded(id, moments) }),
      })
    }
    endGathering()
  }
  return (
    <SourceDialog
      title={t(`recordingOf.${what}`)}
      maxWidth={isFilm ? 'md' : 'sm'}
      onClose={() => {
        // Leaving while it runs loses nothing: it is stored on this device.
        if (state === 'ready') return
        if (isOver) again()
      }}
      acts={
        isOver ? (
          <>
            <Button onClick={again}>{t('record.again')}</Button>
            <Button variant="contained" color="primary" autoFocus onClick={save}>
              {t('keep')}
            </Button>
          </>
        ) : (
          <RecordButtons recorder={recorder} isReady={media.stream !== null}>
            {place.onRecorded ? (
              <Button
                startIcon={<IconFlag size={18} stroke={1.7} />}
                disabled={state !== 'running' || moments.length >= MOST_MOMENTS}
                onClick={() => setMoments([...moments, { atMs: Math.round(recorder.elapsed()), words: '' }])}
              >
                {t('record.mark')}
              </Button>
            ) : null}
          </RecordButtons>
        )
      }
    >
      {media.trouble ? (
        <MediaHelp trouble={media.trouble} what={isFilm ? 'camera' : 'microphone'} onAgain={media.askAgain} />
      ) : null}
      {isOver && address ? (
        isFilm ? (
          <div className={styles.view}>
            <video src={address} controls playsInline aria-label={t('record.recorded')} />
          </div>
        ) : (
          <div className={styles.voice}>
            <audio src={address} controls aria-label={t('record.recorded')} />
          </div>
        )
      ) : null}
      {isFilm && !isOver && media.stream ? (
        <div className={styles.view}>
          <Viewfinder stream={media.stream} isMirrored={media.isMirrored} />
        </div>
      ) : null}
      <div className={styles.line}>
        <span className={styles.time} role="timer" data-running={state === 'running'}>
          {toPlayTime(lengthMs)}
        </span>
        {media.stream && !isOver ? <LevelMeter stream={media.stream} /> : null}
        {moments.length > 0 ? (
          <span role="status">{t('record.marked', { count: moments.length })}</span>
        ) : null}
      </div>
      {state === 'ready' && !media.trouble ? (
        <div className={styles.line}>
          {isFilm ? (
            <DeviceChoice
              what="camera"
              devices={media.devices.cameras}
              chosen={media.cameraId}
              onChoose={media.chooseCamera}
            />
          ) : null}
          <DeviceChoice
            what="microphone"
            devices={media.devices.microphones}
            chosen={media.microphoneId}
            onChoose={media.chooseMicrophone}
          />
        </div>
      ) : null}
    </SourceDialog>
  )
}

interface RecordButtonsProps {
  readonly recorder: Recorder
  readonly isReady: boolean
  /** What else can be done while it runs. */
  readonly children: ReactNode
}

function RecordButtons({ recorder, isReady, children }: RecordButtonsProps) {
  const { t } = useTranslation('gather')
  if (recorder.state === 'ready') {
    return (
      <Button
        variant="contained"
        color="primary"
        startIcon={<IconPlayerRecord size={18} stroke={1.7} />}
        disabled={!isReady}
        onClick={recorder.start}
      >
        {t('record.start')}
      </Button>
    )
  }
  const isPaused = recorder.state === 'paused'
  return (
    <>
      <Button
        startIcon={
          isPaused ? <IconPlayerPlay size={18} stroke={1.7} /> : <IconPlayerPause size={18} stroke={1.7} />
        }
        onClick={isPaused ? recorder.goOn : recorder.pause}
      >
        {t(isPaused ? 'record.goOn' : 'record.pause')}
      </Button>
      {children}
      <Button
        variant="contained"
        color="primary"
        startIcon={<IconPlayerStop size={18} stroke={1.7} />}
        onClick={recorder.end}
      >
        {t('record.end')}
      </Button>
    </>
  )
}
