// What was typed into a form and not sent yet: kept in the window and on this device until it is sent or put back.
import { useCallback, useEffect, useState } from 'react'
import { useSession } from '../people/useSession.ts'
import { deviceStoreOf } from './deviceStore.ts'

export interface Unsent<T> {
  readonly value: T
  /** Whether there is something that was not sent. */
  readonly isThere: boolean
  readonly change: (value: T) => void
  /** For when it was sent, or is not wanted any more. */
  readonly clear: () => void
}

const inWindow = new Map<string, unknown>()
/** The writing that goes on for a place. What is typed meanwhile is written after it, the latest alone. */
const writing = new Map<string, Promise<void>>()

async function write(personId: string, place: string, nothing: unknown): Promise<void> {
  const key = keyOf(personId, place)
  const shelf = await deviceStoreOf(personId)
  const value = inWindow.get(key)
  await (value === nothing ? shelf?.removeUnsent(place) : shelf?.putUnsent(place, value))
  if (inWindow.get(key) !== value) await write(personId, place, nothing)
}

function keyOf(personId: string, place: string): string {
  return `${personId} ${place}`
}

/**
 * @param place the address of the screen and the field on it, such as `/submissions/<id>#feedback`
 * @param nothing the value before anything was typed; one and the same at every call
 */
export function useUnsent<T>(place: string, nothing: T): Unsent<T> {
  const { personId } = useSession()
  const key = keyOf(personId, place)
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
      if (writing.has(key)) return
      // Where the device keeps nothing, the window still has it.
      const written = write(personId, place, nothing)
        .catch(() => undefined)
        .finally(() => writing.delete(key))
      writing.set(key, written)
    },
    [key, personId, place, nothing],
  )
  const clear = useCallback(() => keep(nothing), [keep, nothing])
  return { value, isThere: value !== nothing, change: keep, clear }
}
