// A sound with its waveform: where it is loud and where it is still can be seen, and gone to.
import type { Evidence } from '@valise/core/evidence'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { fileAddress, useEvidenceWords } from '../base/index.ts'
import { findDuration, readPeaks } from '../voices/index.ts'
import { FileCard } from './FileCard.tsx'
import styles from './Preview.module.css'

/** Longer ones are played without a picture: all of a sound must be unpacked to draw it. */
const MOST_BYTES = 40 * 1_048_576
const BARS = 96

export function SoundPreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const [peaks, setPeaks] = useState<readonly number[]>([])
  const [played, setPlayed] = useState(0)
  const [isSilent, setIsSilent] = useState(false)
  const player = useRef<HTMLAudioElement>(null)
  const { id, version } = item
  const address = fileAddress(id, version.n)
  useEffect(() => {
    if (player.current) return findDuration(player.current)
  }, [])
  useEffect(() => {
    if (version.bytes > MOST_BYTES) return
    const abort = new AbortController()
    // Without a waveform the sound can be heard all the same.
    readPeaks(address, BARS, abort.signal).then(setPeaks, () => undefined)
    return () => abort.abort()
  }, [address, version.bytes])
  if (isSilent) return <FileCard item={item} problem={t('preview.sound-not-played')} />
  const go = (to: number) => {
    const { current } = player
    if (current && Number.isFinite(current.duration)) current.currentTime = to * current.duration
  }
  return (
    <div className={styles.sound}>
      <svg
        className={styles.wave}
        viewBox={`0 0 ${BARS * 4} 100`}
        preserveAspectRatio="none"
        aria-hidden="true"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          go((event.clientX - box.left) / box.width)
        }}
      >
        {(peaks.length > 0 ? peaks : Array.from({ length: BARS }, () => 0)).map((peak, n) => {
          const height = Math.max(3, peak * 88)
          return (
            <rect
              key={n}
              x={n * 4 + 0.6}
              y={50 - height / 2}
              width={2.6}
              height={height}
              data-past={n / BARS < played}
            />
          )
        })}
      </svg>
      <audio
        ref={player}
        src={address}
        controls
        preload="metadata"
        aria-label={words.title(item)}
        onTimeUpdate={({ currentTarget: { currentTime, duration } }) =>
          setPlayed(Number.isFinite(duration) ? currentTime / duration : 0)
        }
        onError={() => setIsSilent(true)}
      />
    </div>
  )
}
