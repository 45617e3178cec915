// Speaking over a thing: the voices that speak of it, each with what it points at, and a new one.
import Button from '@mui/material/Button'
import { IconMicrophone } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useRefocus } from '../../ui/useRefocus.ts'
import { needWords } from '../../words/i18n.ts'
import { SpokenVoice } from './SpokenVoice.tsx'
import type { Speaking } from './useSpeaking.ts'
import styles from './SpeakOver.module.css'

const SpeakRecorder = lazy(async () => {
  await needWords('gather')
  return { default: (await import('./SpeakRecorder.tsx')).SpeakRecorder }
})

export interface SpeakOverProps {
  readonly item: Evidence
  readonly speaking: Speaking
  /** Whether what is pressed on the picture is pointed at; else only the moment can be marked. */
  readonly canPoint: boolean
  /** The film that it speaks of, where it is one. */
  readonly film?: () => HTMLVideoElement | null
}

export function SpeakOver(props: SpeakOverProps) {
  const { item, speaking } = props
  const { t } = useTranslation('evidence')
  const [isOpen, setIsOpen] = useState(false)
  const button = useRefocus<HTMLButtonElement>(isOpen)
  // The button that opened it is gone: one goes on in the recorder.
  const recorder = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (isOpen) recorder.current?.focus()
  }, [isOpen])
  return (
    <div className={styles.over}>
      {item.voices.map((voice, at) => (
        <SpokenVoice key={voice.id} voice={voice} n={at + 1} {...props} />
      ))}
      {item.voices.length > 0 ? <p className={styles.hint}>{t('voice.heard')}</p> : null}
      {isOpen ? (
        <div
          ref={recorder}
          tabIndex={-1}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            // It puts the recorder away, and not the drawer as well; what runs or was said stays.
            event.preventDefault()
            if (!speaking.isRecording && speaking.moments.length === 0) setIsOpen(false)
          }}
        >
          <Suspense fallback={null}>
            <SpeakRecorder {...props} onClose={() => setIsOpen(false)} />
          </Suspense>
        </div>
      ) : (
        <Button
          ref={button}
          size="small"
          startIcon={<IconMicrophone size={18} stroke={1.7} />}
          disabled={speaking.isRecording}
          onClick={() => setIsOpen(true)}
        >
          {t('voice.speak')}
        </Button>
      )}
    </div>
  )
}
