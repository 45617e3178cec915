// A film, with what to do where this browser cannot play it.
import { useEffect, useRef, useState } from 'react'
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { fileAddress, renditionAddress, useEvidenceWords } from '../base/index.ts'
import { findDuration } from '../voices/index.ts'
import { FileCard } from './FileCard.tsx'
import styles from './Preview.module.css'

export function FilmPreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const [isSilent, setIsSilent] = useState(false)
  const film = useRef<HTMLVideoElement>(null)
  useEffect(() => {
    if (film.current) return findDuration(film.current)
  }, [])
  if (isSilent) return <FileCard item={item} problem={t('preview.film-not-played')} />
  return (
    <video
      ref={film}
      className={styles.shown}
      src={fileAddress(item.id, item.version.n)}
      poster={item.version.preview === 'there' ? renditionAddress(item, 'screen') : undefined}
      controls
      playsInline
      preload="metadata"
      aria-label={words.title(item)}
      onError={() => setIsSilent(true)}
    />
  )
}
