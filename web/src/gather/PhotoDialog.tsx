// Taking a photo with the camera of this device: see it, take it, keep it or take it again.
import Button from '@mui/material/Button'
import { IconCamera } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { DeviceChoice, MediaHelp, Viewfinder } from '../media/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { TakenPhoto } from './TakenPhoto.tsx'
import { SourceDialog } from './SourceDialog.tsx'
import { usePhoto } from './usePhoto.ts'
import styles from './SourceDialog.module.css'

const delays = ['0', '3', '10'] as const

export function PhotoDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const [delay, setDelay] = useState<(typeof delays)[number]>('0')
  const {
    media,
    film,
    picture,
    setPicture,
    left,
    setLeft,
    address,
    found,
    isPreviewing,
    view,
    setView,
    hasFaults,
    take,
    save,
    change,
  } = usePhoto(place)
  return (
    <SourceDialog
      title={t('photo.title')}
      maxWidth="md"
      acts={
        picture ? (
          <>
            <Button
              variant={hasFaults ? 'contained' : 'outlined'}
              color="primary"
              onClick={() => setPicture(null)}
            >
              {t('photo.again')}
            </Button>
            {found?.bitmap ? <Button onClick={change}>{t('photo.change')}</Button> : null}
            <Button
              variant={hasFaults ? 'outlined' : 'contained'}
              color="primary"
              autoFocus
              disabled={isPreviewing}
              onClick={() => save()}
            >
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
        <div className={styles.view} hidden={picture !== null}>
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
      {address && picture ? (
        <TakenPhoto {...{ address, found, isPreviewing, view }} onView={setView} />
      ) : null}
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
    </SourceDialog>
  )
}
