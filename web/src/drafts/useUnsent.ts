// What was typed into a form and not sent yet: kept in the window and on this device until it is sent or put back.
import { useCallback, useEffect, useState } from 'react'
import { useSession } from '../people/useSession.ts'
import { deviceStoreOf } from './deviceStore.ts'

const KEEP_AFTER_MS = 250

export interface Unsent<T> {
  readonly value: T
  /** Whether there is something that was not sent. */
  readonly isThere: boolean
  readonly change: (value: T) => void
  /** For when it was sent, or is not wanted any more. */
  readonly clear: () => void
}

const inWindow = new Map<string, unknown>()
const waiting = new Map<string, ReturnType<typeof setTimeout>>()

/**
 * @param place the address of the screen and the field on it, such as `/submissions/<id>#feedback`
 * @param nothing the value before anything was typed; one and the same at every call
 */
export function useUnsent<T>(place: string, nothing: T): Unsent<T> {
  const { personId } = useSession()
  const key = `${personId} ${place}`
  const [value, setValue] = useState<T>(() => (inWindow.get(key) as T | undefined) ?? nothing)

  useEffect(() => {
    if (inWindow.has(key)) return
    let isGone = false
    const bringBack = async () => {
      const kept = (await (await deviceStoreOf(personId))?.unsentAt(place)) as T | undefined
      if (isGone || kept === undefined || inWindow.has(key)) return
      inWindow.set(key, kept)
      setValue(kept)
    }
    // A shelf that cannot be read takes nothing away: one types into the window as before.
    bringBack().catch(() => undefined)
    return () => {
      isGone = true
    }
  }, [key, personId, place])

  const keep = useCallback(
    (next: T) => {
      inWindow.set(key, next)
      setValue(next)
      clearTimeout(waiting.get(key))
      const put = async () => {
        const shelf = await deviceStoreOf(personId)
        await (next === nothing ? shelf?.removeUnsent(place) : shelf?.putUnsent(place, next))
      }
      // Where the device keeps nothing, the window still has it.
      const timer = setTimeout(() => void put().catch(() => undefined), next === nothing ? 0 : KEEP_AFTER_MS)
      waiting.set(key, timer)
    },
    [key, personId, place, nothing],
  )
  const clear = useCallback(() => keep(nothing), [keep, nothing])
  return { value, isThere: value !== nothing, change: keep, clear }
}
