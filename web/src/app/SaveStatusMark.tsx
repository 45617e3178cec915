// Says whether what was entered last is saved: stitches that end in a knot, and words.
import { useEffect, useState, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import { useSaveStatus } from '../saving/index.ts'
import type { SaveStatus } from '../saving/index.ts'
import styles from './SaveStatusMark.module.css'

const SPOKEN_AT_MOST_EVERY_MS = 60_000
/** What was saved is said once nothing follows for so long. */
const SETTLED_MS = 1200

export function SaveStatusMark() {
  const { t } = useTranslation()
  const status = useSaveStatus()
  const isOnline = useOnline()
  const words = useSaveWords(status)
  // Changes on the device are shown as such, whether the browser knows that it is offline or not.
  const showsStatus = isOnline || status.state === 'on-device'
  const spoken = useSpoken(
    showsStatus ? words.full : t('saved.offline'),
    showsStatus ? urgencyOf(status.state) : 'immediate',
  )

  const state = showsStatus ? status.state : 'offline'
  return (
    <>
      <span className="only-heard" role="status">
        {spoken}
      </span>
      {state === 'nothing-yet' ? null : (
        <span className={styles.saved} data-state={state} aria-hidden="true">
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
          <span className={styles.full}>{showsStatus ? words.full : t('saved.offlineShort')}</span>
          <span className={styles.short}>{showsStatus ? words.short : t('saved.offlineShort')}</span>
        </span>
      )}
    </>
  )
}

/** What the status says, and what it says where there is little room. */
function useSaveWords(state: SaveStatus): { full: string; short: string } {
  const { t } = useTranslation()
  const when = useWhen()
  switch (state.state) {
    case 'nothing-yet':
      return { full: '', short: '' }
    case 'saving':
      return { full: t('saved.saving'), short: t('saved.saving') }
    case 'saved':
      return { full: t('saved.saved', { time: when.time(state.at) }), short: when.time(state.at) }
    case 'on-device':
      return {
        full: t('saved.onDevice', { count: state.count }),
        short: t('saved.onDeviceShort', { count: state.count }),
      }
    case 'refused':
      return { full: t('saved.refused'), short: t('saved.refused') }
  }
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

type Urgency = 'immediate' | 'seldom' | 'never'

/** What goes wrong is heard at once; that all went well seldom, and what only lasts a moment never. */
function urgencyOf(state: SaveStatus['state']): Urgency {
  if (state === 'refused' || state === 'on-device') return 'immediate'
  return state === 'saved' ? 'seldom' : 'never'
}

/** The words for a screen reader: always the last state, never one that is over by then. */
function useSpoken(words: string, urgency: Urgency): string {
  const [spoken, setSpoken] = useState({ words: '', at: Number.NEGATIVE_INFINITY, wasUrgent: false })
  useEffect(() => {
    if (urgency === 'never' || words === spoken.words) return
    const isUrgent = urgency === 'immediate'
    const say = () => setSpoken({ words, at: Date.now(), wasUrgent: isUrgent })
    // That it went well after all is as urgent as what went wrong before.
    const rest = isUrgent || spoken.wasUrgent ? 0 : spoken.at + SPOKEN_AT_MOST_EVERY_MS - Date.now()
    const timer = setTimeout(say, Math.max(isUrgent ? 0 : SETTLED_MS, rest))
    return () => clearTimeout(timer)
  }, [words, urgency, spoken])
  return spoken.words
}
