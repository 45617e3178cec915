// Idle sign-out: on a shared computer nothing of one person is left for the next.
import { useCallback, useEffect, useRef, useState } from 'react'
import { signOut, tellSeen } from '../people/queries.ts'
import { useSession } from '../people/useSession.ts'
import { loseSession } from './lostSession.ts'

const CHECK_EVERY_MS = 5_000
const MINUTE = 60_000
/** How long before the end the question comes; short limits get a shorter warning. */
const warningMinutes = (idleMinutes: number) => Math.min(2, idleMinutes / 3)

export interface Idle {
  /** Minutes until the end once it is near, else null. */
  readonly minutesLeft: number | null
  stay(): void
}

/** Watches for signs of life and tells the server about them, so that reading counts as being there. */
export function useIdle(): Idle {
  const { idleMinutes } = useSession()
  const lastSign = useRef(0)
  const lastTold = useRef(0)
  const isWarning = useRef(false)
  const [minutesLeft, setMinutesLeft] = useState<number | null>(null)

  const stay = useCallback(() => {
    isWarning.current = false
    lastSign.current = Date.now()
    lastTold.current = Date.now()
    setMinutesLeft(null)
    // A session that has ended meanwhile shows its own dialog.
    void tellSeen().catch(loseSession)
  }, [])

  useEffect(() => {
    lastSign.current = Date.now()
    lastTold.current = Date.now()
    const onSign = () => {
      // While the question stands only its answer counts: a nudged mouse is no answer.
      if (!isWarning.current) lastSign.current = Date.now()
    }
    const check = () => {
      const now = Date.now()
      const left = idleMinutes - (now - lastSign.current) / MINUTE
      isWarning.current = left <= warningMinutes(idleMinutes)
      setMinutesLeft(isWarning.current ? Math.max(1, Math.ceil(left)) : null)
      if (left <= 0) void signOut().catch(loseSession)
      else if (lastSign.current > lastTold.current && now - lastTold.current > (idleMinutes * MINUTE) / 4) {
        lastTold.current = now
        void tellSeen().catch(() => undefined) // the next request will say so if the session is lost
      }
    }
    const signs = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const
    for (const sign of signs) document.addEventListener(sign, onSign, { passive: true })
    const timer = setInterval(check, CHECK_EVERY_MS)
    return () => {
      for (const sign of signs) document.removeEventListener(sign, onSign)
      clearInterval(timer)
    }
  }, [idleMinutes])

  return { minutesLeft, stay }
}
