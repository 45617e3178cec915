// What was typed into a form and not sent yet: it stays in the window and on this device until it is sent or discarded.
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react'
import { useSession } from '../session/index.ts'
import {
  isInWindow,
  listUnsentPlaces,
  readUnsent,
  subscribeUnsent,
  unsentInWindow,
  writeUnsent,
} from './unsentStore.ts'

export interface Unsent<T> {
  readonly value: T
  /** Whether there is something that was not sent. */
  readonly isThere: boolean
  readonly change: (value: T) => void
  /** For when it was sent, or is not wanted any more. */
  readonly clear: () => void
}

/**
 * Unsent input of a field, restored from the device.
 *
 * @param place the address of the screen and the field on it, such as `/submissions/<id>#feedback`
 * @param nothing the value before anything was typed; must be stable
 */
export function useUnsent<T>(place: string, nothing: T): Unsent<T> {
  const { personId } = useSession()
  const read = () => (unsentInWindow(personId, place) as T | undefined) ?? nothing
  const value = useSyncExternalStore(subscribeUnsent, read, read)

  useEffect(() => {
    // A device that cannot be read takes nothing away: one types into the window as before.
    if (!isInWindow(personId, place)) readUnsent(personId, place).catch(() => undefined)
  }, [personId, place])

  const change = useCallback(
    (next: T) => writeUnsent(personId, place, next === nothing ? undefined : next),
    [personId, place, nothing],
  )
  const clear = useCallback(() => change(nothing), [change, nothing])
  return { value, isThere: value !== nothing, change, clear }
}

const none: ReadonlySet<string> = new Set()

/** Returns the places with unsent input, on any screen; other windows count when this one is focused again. */
export function useUnsentPlaces(): ReadonlySet<string> {
  const { personId } = useSession()
  const [places, setPlaces] = useState(none)
  useEffect(() => {
    let isGone = false
    const refresh = () => {
      listUnsentPlaces(personId)
        .then((found) => isGone || setPlaces(found))
        // A device that cannot be read: what this window holds is noticed below.
        .catch(() => undefined)
    }
    const unsubscribe = subscribeUnsent((place) =>
      setPlaces((before) => {
        const isThere = unsentInWindow(personId, place) !== undefined
        if (before.has(place) === isThere) return before
        const after = new Set(before)
        if (isThere) after.add(place)
        else after.delete(place)
        return after
      }),
    )
    refresh()
    window.addEventListener('focus', refresh)
    return () => {
      isGone = true
      unsubscribe()
      window.removeEventListener('focus', refresh)
    }
  }, [personId])
  return places
}
