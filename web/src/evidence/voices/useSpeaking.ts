// What somebody points at while they speak, and what a voice that is heard points at: shared by recorder and picture.
import type { Moment } from '@valise/core/evidence'
import { useRef, useState } from 'react'

export interface Speaking {
  readonly isRecording: boolean
  /** The moments of the recording that runs or has just ended, else those of the voice that is heard. */
  readonly moments: readonly Moment[]
  /** Which of them was reached last; null before the first. */
  readonly current: number | null
  /** Points at a place while it is being spoken; where nothing is recorded nothing happens. */
  point(spot: [number, number] | null, filmMs: number | null): void
  /** A recording begins, and tells how long it has run whenever it is asked. */
  begin(elapsed: () => number): void
  end(): void
  /** Clears the moments of a recording that was saved or is to be repeated. */
  clear(): void
  /** A voice is heard, and is so far. */
  hear(moments: readonly Moment[], atMs: number): void
}

export function useSpeaking(): Speaking {
  const [own, setOwn] = useState<readonly Moment[]>([])
  const [isRecording, setIsRecording] = useState(false)
  const [heard, setHeard] = useState<{ moments: readonly Moment[]; atMs: number } | null>(null)
  const clock = useRef<(() => number) | null>(null)
  const isOwn = isRecording || own.length > 0
  const moments = isOwn ? own : (heard?.moments ?? [])
  const reached = isOwn ? own.length : moments.filter(({ atMs }) => atMs <= (heard?.atMs ?? 0)).length
  return {
    isRecording,
    moments,
    current: reached === 0 ? null : reached - 1,
    point: (spot, filmMs) => {
      if (!clock.current) return
      const atMs = Math.max(0, Math.round(clock.current()))
      setOwn((before) => [...before, { atMs, spot, filmMs, words: '' }])
    },
    begin: (elapsed) => {
      clock.current = elapsed
      setOwn([])
      setIsRecording(true)
    },
    end: () => {
      clock.current = null
      setIsRecording(false)
    },
    clear: () => {
      clock.current = null
      setIsRecording(false)
      setOwn([])
    },
    hear: (spoken, atMs) => setHeard({ moments: spoken, atMs }),
  }
}
