// How loud the microphone hears: without it nobody knows before the end that nothing was heard.
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './LevelMeter.module.css'

/** After so long without a sound it is said. */
const SILENT_MS = 4000
const HEARD = 0.02

export function LevelMeter({ stream }: { readonly stream: MediaStream }) {
  const { t } = useTranslation('gather')
  const bar = useRef<HTMLSpanElement>(null)
  const meter = useRef<HTMLDivElement>(null)
  const [isSilent, setIsSilent] = useState(false)
  useEffect(() => {
    const context = new AudioContext()
    const analyser = context.createAnalyser()
    analyser.fftSize = 1024
    context.createMediaStreamSource(stream).connect(analyser)
    const samples = new Float32Array(analyser.fftSize)
    let heardAt = performance.now()
    let frame = 0
    const show = () => {
      analyser.getFloatTimeDomainData(samples)
      const level = Math.min(
        1,
        Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / samples.length) * 4,
      )
      if (level > HEARD) heardAt = performance.now()
      setIsSilent(performance.now() - heardAt > SILENT_MS)
      if (bar.current) bar.current.style.transform = `scaleX(${level})`
      meter.current?.setAttribute('aria-valuenow', String(Math.round(level * 100)))
      frame = requestAnimationFrame(show)
    }
    frame = requestAnimationFrame(show)
    return () => {
      cancelAnimationFrame(frame)
      void context.close()
    }
  }, [stream])
  return (
    <>
      <div
        ref={meter}
        role="meter"
        className={styles.meter}
        aria-label={t('level')}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={0}
      >
        <span ref={bar} style={{ transform: 'scaleX(0)' }} />
      </div>
      <p role="status">{isSilent ? t('silent') : ''}</p>
    </>
  )
}
