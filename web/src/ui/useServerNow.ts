// The present moment by the clock of the server, which a device with a wrong clock does not change: what an answer said,
// and how long ago it came.
import type { Instant } from '@valise/core/time'
import { addMinutes } from '@valise/core/time'
import { useEffect, useState } from 'react'

const LOOK_EVERY_MS = 10_000
const MS_A_MINUTE = 60_000

/** @param at the moment that the newest answer of the server told */
export function useServerNow(at: Instant): Instant {
  const [since, setSince] = useState({ at, passedMs: 0 })
  useEffect(() => {
    const came = performance.now()
    const timer = setInterval(() => setSince({ at, passedMs: performance.now() - came }), LOOK_EVERY_MS)
    return () => clearInterval(timer)
  }, [at])
  return since.at === at ? addMinutes(at, since.passedMs / MS_A_MINUTE) : at
}
