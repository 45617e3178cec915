// A photo being taken: the camera, the countdown, what is proposed for it, and saving it.
import { useTranslation } from 'react-i18next'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { addFiles } from '../evidence/upload/index.ts'
import { takePicture, useMedia, useObjectUrl } from '../media/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import type { TakenView } from './TakenPhoto.tsx'
import { usePhotoProposal } from './usePhotoProposal.ts'

export function usePhoto(place: SourceProps['place']) {
  const { t } = useTranslation('gather')
  const media = useMedia({ camera: true, microphone: false })
  const film = useRef<HTMLVideoElement>(null)
  const [picture, setPicture] = useState<File | null>(null)
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
  return {
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
  }
}

/** A name that says what it is and when, in words of the device's own clock. */
function nameOf(what: string): string {
  return `IMG ${what} ${Date.now()}.jpg`
}
