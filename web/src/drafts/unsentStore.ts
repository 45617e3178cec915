// What was not sent yet, by person and place: in this window, and encrypted on the device.
import { deviceStoreOf } from './deviceStore.ts'

const inWindow = new Map<string, unknown>()
/** The write that is under way for a place. What comes meanwhile is written after it, the latest alone. */
const writing = new Map<string, Promise<void>>()

function keyOf(personId: string, place: string): string {
  return `${personId} ${place}`
}

/** Whether this window has put or removed something at the place. */
export function isInWindow(personId: string, place: string): boolean {
  return inWindow.has(keyOf(personId, place))
}

/** What this window has at the place; undefined where that is nothing. */
export function unsentInWindow(personId: string, place: string): unknown {
  return inWindow.get(keyOf(personId, place))
}

/**
 * What was at the place when it was asked for, in this window or left by an earlier one; undefined where that is
 * nothing. What is written meanwhile takes its place in the store, but not in the answer.
 */
export async function readUnsent(personId: string, place: string): Promise<unknown> {
  if (isInWindow(personId, place)) return unsentInWindow(personId, place)
  const stored = await (await deviceStoreOf(personId))?.unsentAt(place)
  if (!isInWindow(personId, place) && stored !== undefined) inWindow.set(keyOf(personId, place), stored)
  return stored
}

/** Stores what was not sent; undefined removes it. Where the device stores nothing, this window still has it. */
export function writeUnsent(personId: string, place: string, value: unknown): void {
  const key = keyOf(personId, place)
  inWindow.set(key, value)
  if (writing.has(key)) return
  const written = write(personId, place)
    .catch(() => undefined)
    .finally(() => writing.delete(key))
  writing.set(key, written)
}

async function write(personId: string, place: string): Promise<void> {
  const store = await deviceStoreOf(personId)
  const value = unsentInWindow(personId, place)
  await (value === undefined ? store?.removeUnsent(place) : store?.putUnsent(place, value))
  if (unsentInWindow(personId, place) !== value) await write(personId, place)
}
