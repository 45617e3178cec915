// Taking a photo with the camera of this device: see it, take it, keep it or take it again.
import Button from '@mui/material/Button'
import { IconCamera } from '@tabler/icons-react'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { addFiles } from '../evidence/addFiles.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { DeviceChoice } from './DeviceChoice.tsx'
import type { WayProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import { MediaHelp } from './MediaHelp.tsx'
import { takePicture } from './takePicture.ts'
import { useMedia } from './useMedia.ts'
import { useObjectUrl } from './useObjectUrl.ts'
import { Viewfinder } from './Viewfinder.tsx'
import { WayDialog } from './WayDialog.tsx'
import styles from './WayDialog.module.css'

const delays = ['0', '3', '10'] as const

export function PhotoDialog({ place }: WayProps) {
  const { t } = useTranslation('gather')
  const media = useMedia({ camera: true, microphone: false })
  const film = useRef<HTMLVideoElement>(null)
  const [picture, setPicture] = useState<File | null>(null)
  const [delay, setDelay] = useState<(typeof delays)[number]>('0')
  const [left, setLeft] = useState<number | null>(null)
  const address = useObjectUrl(picture)

  const take = async () => {
    if (film.current) setPicture(await takePicture(film.current, nameOf(t('photo.fileName'))))
  }
  useEffect(() => {
    if (left === null) return
    const timer = setTimeout(() => {
      if (left > 1) return setLeft(left - 1)
      setLeft(null)
      void take()
    }, 1000)
    return () => clearTimeout(timer)
    // The seconds alone drive it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [left])
  const keep = () => {
    if (picture) void addFiles([picture], { ...place, isMine: true })
    endGathering()
  }
  return (
    <WayDialog
      title={t('photo.title')}
      maxWidth="md"
      acts={
        picture ? (
          <>
            <Button onClick={() => setPicture(null)}>{t('photo.again')}</Button>
            <Button variant="contained" color="primary" autoFocus onClick={keep}>
              {t('keep')}
            </Button>
          </>
        ) : (
          <Button
            variant="contained"
            color="primary"
            startIcon={<IconCamera size={18} stroke={1.7} />}
            disabled={media.stream === null || left !== null}
            onClick={() => (delay === '0' ? void take() : setLeft(Number(delay)))}
          >
            {t('photo.take')}
          </Button>
        )
      }
    >
      {media.trouble ? (
        <MediaHelp trouble={media.trouble} what="camera" onAgain={media.askAgain} />
      ) : (
        <div className={styles.view}>
          {address ? <img src={address} alt={t('photo.taken')} /> : null}
          {media.stream && !picture ? (
            <Viewfinder ref={film} stream={media.stream} isMirrored={media.isMirrored} />
          ) : null}
          {left === null ? null : (
            <span className={styles.count} role="timer" aria-live="assertive">
              {left}
            </span>
          )}
        </div>
      )}
      {picture || media.trouble ? null : (
        <div className={styles.line}>
          <ChoiceBar
            label={t('photo.timer')}
            value={delay}
            choices={delays.map((one) => [one, t(`photo.delays.${one}`)] as const)}
            onChange={setDelay}
          />
          <DeviceChoice
            what="camera"
            devices={media.devices.cameras}
            chosen={media.cameraId}
            onChoose={media.chooseCamera}
          />
        </div>
      )}
    </WayDialog>
  )
}

/** A name that says what it is and when, in words of the device's own clock. */
function nameOf(what: string): string {
  return `IMG ${what} ${Date.now()}.jpg`
}
