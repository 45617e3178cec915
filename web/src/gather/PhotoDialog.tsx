// Taking a photo with the camera of this device: see it, take it, keep it or take it again.
import Button from '@mui/material/Button'
import { IconCamera } from '@tabler/icons-react'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { addFiles } from '../evidence/upload/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { DeviceChoice, MediaHelp, takePicture, useMedia, useObjectUrl, Viewfinder } from '../media/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import { TakenPhoto } from './TakenPhoto.tsx'
import type { TakenView } from './TakenPhoto.tsx'
import { usePhotoProposal } from './usePhotoProposal.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

const delays = ['0', '3', '10'] as const

export function PhotoDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const media = useMedia({ camera: true, microphone: false })
  const film = useRef<HTMLVideoElement>(null)
  const [picture, setPicture] = useState<File | null>(null)
  const [delay, setDelay] = useState<(typeof delays)[number]>('0')
  const [left, setLeft] = useState<number | null>(null)
  const address = useObjectUrl(picture)
  const { found, isPreviewing } = usePhotoProposal(picture)
  const [view, setView] = useState<TakenView>('proposed')
  const navigate = useNavigate()
  const hasFaults = (found?.proposal.faults.length ?? 0) > 0

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
  // What is shown is what is saved: the proposal, or the original photo.
  const save = (onSaved?: (id: string) => void) => {
    const recipe = view === 'proposed' && found?.bitmap ? found.proposal.recipe : null
    const landing = {
      ...place,
      ...(recipe && { recipe }),
      ...(onSaved && {
        onSaved: (id: string) => {
          place.onSaved?.(id)
          onSaved(id)
        },
      }),
    }
    if (picture) void addFiles([picture], { ...landing, isMine: true })
    endGathering()
  }
  const change = () => save((id) => void navigate(`/evidence/${id}/bench`))
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

/** A name that says what it is and when, in words of the device's own clock. */
function nameOf(what: string): string {
  return `IMG ${what} ${Date.now()}.jpg`
}
