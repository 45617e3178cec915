// What was typed into a form and not sent yet: it stays in the window and on this device until it is sent or discarded.
import { useCallback, useEffect, useState } from 'react'
import { useSession } from '../people/useSession.ts'
import { isInWindow, readUnsent, unsentInWindow, writeUnsent } from './unsentStore.ts'

export interface Unsent<T> {
  readonly value: T
  /** Whether there is something that was not sent. */
  readonly isThere: boolean
  readonly change: (value: T) => void
  /** For when it was sent, or is not wanted any more. */
  readonly clear: () => void
}

/**
 * @param place the address of the screen and the field on it, such as `/submissions/<id>#feedback`
 * @param nothing the value before anything was typed; one and the same at every call
 */
export function useUnsent<T>(place: string, nothing: T): Unsent<T> {
  const { personId } = useSession()
  const [value, setValue] = useState<T>(() => (unsentInWindow(personId, place) as T | undefined) ?? nothing)

  useEffect(() => {
    if (isInWindow(personId, place)) return
    let isGone = false
    const restore = async () => {
      const stored = (await readUnsent(personId, place)) as T | undefined
      // What was typed meanwhile is the newer.
      if (!isGone && stored !== undefined && unsentInWindow(personId, place) === stored) setValue(stored)
    }
    // A device that cannot be read takes nothing away: one types into the window as before.
    restore().catch(() => undefined)
    return () => {
      isGone = true
    }
  }, [personId, place])

  const change = useCallback(
    (next: T) => {
      setValue(next)
      writeUnsent(personId, place, next === nothing ? undefined : next)
    },
    [personId, place, nothing],
  )
  const clear = useCallback(() => change(nothing), [change, nothing])
  return { value, isThere: value !== nothing, change, clear }
}
