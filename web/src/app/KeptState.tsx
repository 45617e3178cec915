// Says whether what was entered last is saved: stitches that end in a knot, and words.
import { useEffect, useState, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import { useKept } from './kept.ts'
import type { Kept } from './kept.ts'
import styles from './KeptState.module.css'

const SPOKEN_AT_MOST_EVERY_MS = 60_000
/** What was saved is said once nothing follows for so long. */
const SETTLED_MS = 1200

export function KeptState() {
  const { t } = useTranslation()
  const when = useWhen()
  const kept = useKept()
  const isOnline = useOnline()
  const words = wordsOf(kept)
  // What stays here is told as such, whether the browser knows that it is off-line or not.
  const isTold = isOnline || kept.state === 'on-device'
  const spoken = useSpoken(
    isTold ? words.full : t('kept.offline'),
    isTold ? urgencyOf(kept.state) : 'at-once',
  )

  function wordsOf(state: Kept): { full: string; short: string } {
    switch (state.state) {
      case 'nothing-yet':
        return { full: '', short: '' }
      case 'keeping':
        return { full: t('kept.keeping'), short: t('kept.keeping') }
      case 'kept':
        return { full: t('kept.kept', { time: when.time(state.at) }), short: when.time(state.at) }
      case 'on-device':
        return {
          full: t('kept.onDevice', { count: state.count }),
          short: t('kept.onDeviceShort', { count: state.count }),
        }
      case 'refused':
        return { full: t('kept.refused'), short: t('kept.refused') }
    }
  }

  const state = isTold ? kept.state : 'offline'
  return (
    <>
      <span className="only-heard" role="status">
        {spoken}
      </span>
      {state === 'nothing-yet' ? null : (
        <span className={styles.kept} data-state={state} aria-hidden="true">
          <span className={styles.run} />
          <svg viewBox="0 0 30 12">
            <path
              className={styles.stitches}
              d="M1 6h17"
              strokeWidth="2"
              strokeDasharray="4.4 2.6"
              fill="none"
            />
            <path
              d="M18 6c3-6 8-4 7 0s-7 4-5-1 8-2 9 1"
              fill="none"
              strokeWidth="1.8"
              strokeLinecap="round"
              className={styles.knot}
            />
          </svg>
          <span className={styles.full}>{isTold ? words.full : t('kept.offlineShort')}</span>
          <span className={styles.short}>{isTold ? words.short : t('kept.offlineShort')}</span>
        </span>
      )}
    </>
  )
}

function useOnline(): boolean {
  return useSyncExternalStore(
    (listener) => {
      window.addEventListener('online', listener)
      window.addEventListener('offline', listener)
      return () => {
        window.removeEventListener('online', listener)
        window.removeEventListener('offline', listener)
      }
    },
    () => navigator.onLine,
  )
}

type Urgency = 'at-once' | 'seldom' | 'never'

/** What goes wrong is heard at once; that all went well seldom, and what only lasts a moment never. */
function urgencyOf(state: Kept['state']): Urgency {
  if (state === 'refused' || state === 'on-device') return 'at-once'
  return state === 'kept' ? 'seldom' : 'never'
}

/** The words for a screen reader: always the last state, never one that is over by then. */
function useSpoken(words: string, urgency: Urgency): string {
  const [spoken, setSpoken] = useState({ words: '', at: Number.NEGATIVE_INFINITY, wasUrgent: false })
  useEffect(() => {
    if (urgency === 'never' || words === spoken.words) return
    const isUrgent = urgency === 'at-once'
    const say = () => setSpoken({ words, at: Date.now(), wasUrgent: isUrgent })
    // That it went well after all is as urgent as what went wrong before.
    const rest = isUrgent || spoken.wasUrgent ? 0 : spoken.at + SPOKEN_AT_MOST_EVERY_MS - Date.now()
    const timer = setTimeout(say, Math.max(isUrgent ? 0 : SETTLED_MS, rest))
    return () => clearTimeout(timer)
  }, [words, urgency, spoken])
  return spoken.words
}
