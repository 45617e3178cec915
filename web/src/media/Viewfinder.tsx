// The camera picture. People who see themselves see a mirror image; what is saved is not mirrored.
import { useEffect, useRef } from 'react'
import type { Ref } from 'react'
import { useImperativeHandle } from 'react'
import { useTranslation } from 'react-i18next'

interface ViewfinderProps {
  readonly stream: MediaStream
  readonly isMirrored: boolean
  readonly ref?: Ref<HTMLVideoElement>
}

export function Viewfinder({ stream, isMirrored, ref }: ViewfinderProps) {
  const { t } = useTranslation('gather')
  const film = useRef<HTMLVideoElement>(null)
  useImperativeHandle(ref, () => film.current as HTMLVideoElement, [])
  useEffect(() => {
    const { current } = film
    if (!current) return
    current.srcObject = stream
    // A browser may refuse to begin by itself; the picture then stands until it is touched.
    current.play().catch(() => undefined)
  }, [stream])
  return (
    <video
      ref={film}
      data-mirrored={isMirrored}
      muted
      playsInline
      aria-label={t('viewfinder')}
      onClick={(event) => void event.currentTarget.play()}
    />
  )
}
