// What the file store does on a disk: writing, giving a file its place, and making sure that both reach the disk.
import { link, mkdir, open, stat, unlink, utimes } from 'node:fs/promises'
import type { FileHandle } from 'node:fs/promises'
import { dirname } from 'node:path'
import { AppError } from '@valise/core/problems'
import { errorCodeOf } from '../system/index.ts'

const WRITE_BYTES = 262_144

/**
 * Gathers what comes in small pieces, since each write costs more than copying. What came before an error is given
 * before the error is thrown.
 */
export async function* inLargePieces(content: AsyncIterable<Uint8Array>): AsyncIterable<Uint8Array> {
  let waiting: Uint8Array[] = []
  let bytes = 0
  let failed: { readonly error: unknown } | null = null
  try {
    for await (const chunk of content) {
      waiting.push(chunk)
      bytes += chunk.length
      if (bytes < WRITE_BYTES) continue
      yield Buffer.concat(waiting)
      waiting = []
      bytes = 0
    }
  } catch (error) {
    failed = { error }
  }
  if (bytes > 0) yield Buffer.concat(waiting)
  if (failed) throw failed.error
}

export async function writeAll(handle: FileHandle, chunk: Uint8Array, position: number): Promise<void> {
  try {
    for (let done = 0; done < chunk.length;) {
      const { bytesWritten } = await handle.write(chunk, done, chunk.length - done, position + done)
      done += bytesWritten
    }
  } catch (error) {
    throw toNoSpace(error)
  }
}

export function toNoSpace(error: unknown): unknown {
  return ['ENOSPC', 'EDQUOT'].includes(errorCodeOf(error))
    ? new AppError('no-space', 'no-space', { cause: error })
    : error
}

/**
 * Gives a written file a second name in its place, and syncs the folder so that the name is on the disk as well. Can be
 * repeated after a crash.
 */
export async function linkIntoPlace(path: string, place: string): Promise<void> {
  const now = new Date()
  const shelf = dirname(place)
  // Both names are of one file: whoever sweeps sees that it is wanted.
  await utimes(path, now, now)
  for (;;) {
    const code = await tryToLink(path, place)
    if (code === null) return syncFolder(shelf)
    if (code === 'ENOENT') await makeShelf(shelf)
    else if (await tryToRenew(place, now)) return syncFolder(shelf)
  }
}

/** @returns null when done, else why not: `EEXIST` or `ENOENT` */
async function tryToLink(path: string, place: string): Promise<'EEXIST' | 'ENOENT' | null> {
  try {
    await link(path, place)
    return null
  } catch (error) {
    const code = errorCodeOf(error)
    if (code === 'EEXIST') return code
    // Without the file itself no folder helps.
    if (code === 'ENOENT' && (await sizeOf(path)) !== null) return code
    throw error
  }
}

/** Renews the time of a file that is there already, so that a sweep leaves it. @returns whether it was still there */
async function tryToRenew(place: string, now: Date): Promise<boolean> {
  try {
    await utimes(place, now, now)
    return true
  } catch (error) {
    if (errorCodeOf(error) === 'ENOENT') return false
    throw error
  }
}

/** A folder that is new must reach the disk in its parent, or the file in it is lost with it. */
async function makeShelf(shelf: string): Promise<void> {
  if ((await mkdir(shelf, { recursive: true })) !== undefined) await syncFolder(dirname(shelf))
}

async function syncFolder(path: string): Promise<void> {
  const folder = await open(path, 'r')
  try {
    await folder.sync()
  } finally {
    await folder.close()
  }
}

export async function removeUntouched(path: string, untouchedMs: number): Promise<boolean> {
  try {
    const { mtimeMs } = await stat(path)
    if (Date.now() - mtimeMs < untouchedMs) return false
    await unlink(path)
    return true
  } catch (error) {
    if (errorCodeOf(error) === 'ENOENT') return true
    throw error
  }
}

/** Plain `unlink`: `rm` looks first what it is to remove, each time. */
export async function removeIfThere(path: string): Promise<void> {
  try {
    await unlink(path)
  } catch (error) {
    if (errorCodeOf(error) !== 'ENOENT') throw error
  }
}

export async function sizeOf(path: string): Promise<number | null> {
  try {
    return (await stat(path)).size
  } catch (error) {
    if (errorCodeOf(error) === 'ENOENT') return null
    throw error
  }
}
