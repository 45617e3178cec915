// Idle sign-out: on a shared computer nothing of one person is left for the next.
import { useCallback, useEffect, useRef, useState } from 'react'
import {
  signOut,
  tellSeen,
  hearTabs,
  leavePage,
  tellTabs,
  useSession,
  loseWhereSignedOut,
} from '../session/index.ts'

const CHECK_EVERY_MS = 5_000
const MINUTE = 60_000
/** How long before the end the question comes; short limits get a shorter warning. */
const warningMinutes = (idleMinutes: number) => Math.min(2, idleMinutes / 3)

export interface Idle {
  /** Minutes until the end once it is near, else null. */
  readonly minutesLeft: number | null
  stay(): void
}

/** Watches for activity and reports it to the server, so that reading counts as activity. */
export function useIdle(): Idle {
  const { idleMinutes } = useSession()
  const lastSign = useRef(0)
  const lastReported = useRef(0)
  const isWarning = useRef(false)
  const [minutesLeft, setMinutesLeft] = useState<number | null>(null)

  const stay = useCallback(() => {
    isWarning.current = false
    lastSign.current = Date.now()
    lastReported.current = Date.now()
    setMinutesLeft(null)
    tellTabs('alive')
    // A session that has ended meanwhile shows its own dialog; a server that is away says so by itself.
    void tellSeen().catch(loseWhereSignedOut)
  }, [])

  useEffect(() => {
    lastSign.current = Date.now()
    lastReported.current = Date.now()
    let lastShared = Date.now()
    const onSign = () => {
      // While the question stands only its answer counts: a nudged mouse is no answer.
      if (!isWarning.current) lastSign.current = Date.now()
    }
    const check = () => {
      const now = Date.now()
      if (lastSign.current > lastShared) {
        lastShared = now
        tellTabs('alive')
      }
      const left = idleMinutes - (now - lastSign.current) / MINUTE
      isWarning.current = left <= warningMinutes(idleMinutes)
      setMinutesLeft(isWarning.current ? Math.max(1, Math.ceil(left)) : null)
      // Where the server cannot be reached the page is left all the same; the session ends there by itself.
      if (left <= 0) void signOut().catch(leavePage)
      else if (
        lastSign.current > lastReported.current &&
        now - lastReported.current > (idleMinutes * MINUTE) / 4
      ) {
        lastReported.current = now
        void tellSeen().catch(loseWhereSignedOut)
      }
    }
    const stopHearing = hearTabs((message) => {
      if (message === 'left') return leavePage()
      // Somebody is there in another tab, so the question in this one is answered.
      isWarning.current = false
      lastSign.current = lastShared = Date.now()
      setMinutesLeft(null)
    })
    const signs = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const
    for (const sign of signs) document.addEventListener(sign, onSign, { passive: true })
    const timer = setInterval(check, CHECK_EVERY_MS)
    return () => {
      stopHearing()
      for (const sign of signs) document.removeEventListener(sign, onSign)
      clearInterval(timer)
    }
  }, [idleMinutes])

  return { minutesLeft, stay }
}
