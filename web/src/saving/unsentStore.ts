// What was not sent yet, by person and place: in this window, and encrypted on the device.
import { deviceStoreOf } from './deviceStore.ts'

const inWindow = new Map<string, unknown>()
/** The write that is under way for a place. What comes meanwhile is written after it, the latest alone. */
const writing = new Map<string, Promise<void>>()

function keyOf(personId: string, place: string): string {
  return `${personId} ${place}`
}

const onDevice = (place: string) => ({ shelf: 'unsent', place, part: '' }) as const

type Listener = (place: string) => void
const listeners = new Set<Listener>()

/**
 * Calls `listener` with the place whenever something is put or removed there; returns a function that unsubscribes.
 */
export function subscribeUnsent(listener: Listener): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

function put(personId: string, place: string, value: unknown): void {
  inWindow.set(keyOf(personId, place), value)
  for (const listener of listeners) listener(place)
}

/** Returns whether this window has put or removed something at the place. */
export function isInWindow(personId: string, place: string): boolean {
  return inWindow.has(keyOf(personId, place))
}

/** Returns what this window has at the place; undefined for nothing. */
export function unsentInWindow(personId: string, place: string): unknown {
  return inWindow.get(keyOf(personId, place))
}

/**
 * Returns what was at the place when asked, from this window or an earlier one; undefined for nothing. A later write
 * replaces it in the store, not in the answer.
 */
export async function readUnsent(personId: string, place: string): Promise<unknown> {
  if (isInWindow(personId, place)) return unsentInWindow(personId, place)
  const stored = await (await deviceStoreOf(personId))?.get(onDevice(place))
  if (!isInWindow(personId, place) && stored !== undefined) put(personId, place, stored)
  return stored
}

/** Stores unsent input; undefined removes it. Where the device cannot store it, this window still has it. */
export function writeUnsent(personId: string, place: string, value: unknown): void {
  const key = keyOf(personId, place)
  put(personId, place, value)
  if (writing.has(key)) return
  const written = write(personId, place)
    .catch(() => undefined)
    .finally(() => writing.delete(key))
  writing.set(key, written)
}

/** Lists the places where this person has unsent input, in this window or on the device. */
export async function listUnsentPlaces(personId: string): Promise<ReadonlySet<string>> {
  const stored = (await (await deviceStoreOf(personId))?.list('unsent')) ?? []
  const places = new Set(stored.map(({ place }) => place))
  const prefix = keyOf(personId, '')
  for (const [key, value] of inWindow) {
    if (!key.startsWith(prefix)) continue
    if (value === undefined) places.delete(key.slice(prefix.length))
    else places.add(key.slice(prefix.length))
  }
  return places
}

async function write(personId: string, place: string): Promise<void> {
  const store = await deviceStoreOf(personId)
  const value = unsentInWindow(personId, place)
  await (value === undefined ? store?.remove('unsent', place) : store?.put([onDevice(place), value]))
  if (unsentInWindow(personId, place) !== value) await write(personId, place)
}
