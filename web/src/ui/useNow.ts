// The present moment, looked at again every half minute, so that "in 2 hours" does not grow old on an open screen.
import type { Instant } from '@valise/core/time'
import { useEffect, useState } from 'react'

const LOOK_EVERY_MS = 30_000

export function useNow(): Instant {
  const [now, setNow] = useState(() => new Date().toISOString())
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), LOOK_EVERY_MS)
    return () => clearInterval(timer)
  }, [])
  return now
}
