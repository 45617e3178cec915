// The file store in a folder: each file under its SHA-256, written beside its place, synced, then moved there.
import { createHash, randomUUID } from 'node:crypto'
import type { Hash } from 'node:crypto'
import { createReadStream, mkdirSync } from 'node:fs'
import { link, mkdir, open, readdir, rename, rm, stat, statfs, unlink, utimes } from 'node:fs/promises'
import type { FileHandle } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import { AppError } from '@valise/core/problems'
import { errorCodeOf } from '../system/index.ts'
import type { ByteRange, FileStore, IncomingFiles, StoredFile } from './FileStore.ts'

const HASH = /^[0-9a-f]{64}$/
const INCOMING_ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/
/** Large reads, because hashing in small ones costs more than the hash. */
const READ_BYTES = 1_048_576

/** Opens the file store below a data folder and creates its folders. */
export function openFolderStore(dataFolder: string): FileStore {
  const folder = join(dataFolder, 'files')
  const incomingFolder = join(folder, 'incoming')
  mkdirSync(incomingFolder, { recursive: true })

  const pathOf = (sha256: string) => {
    if (!HASH.test(sha256)) throw new Error('no SHA-256')
    return join(folder, sha256.slice(0, 2), sha256)
  }

  return {
    async put(content) {
      const written = join(incomingFolder, `put-${randomUUID()}`)
      try {
        const hash = createHash('sha256')
        const bytes = await writeNew(written, content, hash)
        const sha256 = hash.digest('hex')
        await moveIntoPlace(written, pathOf(sha256))
        return { sha256, bytes }
      } finally {
        await rm(written, { force: true })
      }
    },
    open: (sha256, range) => openToRead(pathOf(sha256), range),
    useLocally: async (sha256, use) => {
      const path = pathOf(sha256)
      if ((await sizeOf(path)) === null) throw new AppError('not-found', 'not-found')
      return use(path)
    },
    remove: (sha256, untouchedMs) => removeUntouched(pathOf(sha256), untouchedMs),
    async *list() {
      for (const shelf of await readdir(folder)) {
        if (!/^[0-9a-f]{2}$/.test(shelf)) continue
        for (const name of await readdir(join(folder, shelf))) if (HASH.test(name)) yield name
      }
    },
    incoming: makeIncoming(incomingFolder, pathOf),
    freeBytes: async () => {
      const { bavail, bsize } = await statfs(folder)
      return bavail * bsize
    },
  }
}

function makeIncoming(folder: string, placeOf: (sha256: string) => string): IncomingFiles {
  const pathOf = (id: string) => {
    if (!INCOMING_ID.test(id)) throw new Error('no id of an incoming file')
    return join(folder, id)
  }
  return {
    append: (id, offset, content) => appendTo(pathOf(id), offset, content),
    received: async (id) => (await sizeOf(pathOf(id))) ?? 0,
    async save(id): Promise<StoredFile> {
      const path = pathOf(id)
      const hash = createHash('sha256')
      let bytes = 0
      for await (const chunk of createReadStream(path, { highWaterMark: READ_BYTES })) {
        hash.update(chunk)
        bytes += chunk.length
      }
      const sha256 = hash.digest('hex')
      // Another name for the same bytes, so that nothing is copied and this can be repeated after a crash.
      const linked = `${path}-placing`
      await rm(linked, { force: true })
      await link(path, linked)
      await moveIntoPlace(linked, placeOf(sha256))
      return { sha256, bytes }
    },
    drop: (id) => rm(pathOf(id), { force: true }),
    async *list() {
      for (const name of await readdir(folder)) if (INCOMING_ID.test(name)) yield name
    },
    async clearLeftovers(untouchedMs) {
      for (const name of await readdir(folder)) {
        if (!INCOMING_ID.test(name)) await removeUntouched(join(folder, name), untouchedMs)
      }
    },
  }
}

async function writeNew(path: string, content: AsyncIterable<Uint8Array>, hash: Hash): Promise<number> {
  const handle = await open(path, 'wx')
  try {
    let bytes = 0
    for await (const chunk of content) {
      hash.update(chunk)
      await writeAll(handle, chunk, bytes)
      bytes += chunk.length
    }
    await handle.sync()
    return bytes
  } finally {
    await handle.close()
  }
}

async function appendTo(path: string, offset: number, content: AsyncIterable<Uint8Array>): Promise<number> {
  const handle = await open(path, offset === 0 ? 'w' : 'r+')
  let at = offset
  try {
    for await (const chunk of content) {
      await writeAll(handle, chunk, at)
      at += chunk.length
    }
  } catch (error) {
    // A full disk is given back what this call took, so that others can work and this can be gone on with later.
    if (error instanceof AppError && error.code === 'no-space')
      await handle.truncate(offset).catch(ignoreFull)
    throw error
  } finally {
    await syncAndClose(handle)
  }
  return at
}

/** Devices that cannot be made shorter say so; there is then nothing to give back. */
function ignoreFull(error: unknown): void {
  if (errorCodeOf(error) !== 'EINVAL') throw error
}

async function syncAndClose(handle: FileHandle): Promise<void> {
  try {
    await handle.sync()
  } catch (error) {
    if (errorCodeOf(error) !== 'EINVAL') throw toNoSpace(error)
  } finally {
    await handle.close()
  }
}

async function writeAll(handle: FileHandle, chunk: Uint8Array, position: number): Promise<void> {
  try {
    for (let done = 0; done < chunk.length;) {
      const { bytesWritten } = await handle.write(chunk, done, chunk.length - done, position + done)
      done += bytesWritten
    }
  } catch (error) {
    throw toNoSpace(error)
  }
}

function toNoSpace(error: unknown): unknown {
  return ['ENOSPC', 'EDQUOT'].includes(errorCodeOf(error))
    ? new AppError('no-space', 'no-space', { cause: error })
    : error
}

/** Moves a written file to its place, and syncs the folder so that the name is on the disk as well. */
async function moveIntoPlace(written: string, place: string): Promise<void> {
  const now = new Date()
  if ((await sizeOf(place)) !== null) {
    // Put again: whoever sweeps must see that it is wanted.
    await utimes(place, now, now)
    await unlink(written)
    return
  }
  const shelf = dirname(place)
  // A folder that is new must reach the disk in its parent, or the file in it is lost with it.
  if ((await mkdir(shelf, { recursive: true })) !== undefined) await syncFolder(dirname(shelf))
  await utimes(written, now, now)
  await rename(written, place)
  await syncFolder(shelf)
}

async function syncFolder(path: string): Promise<void> {
  const folder = await open(path, 'r')
  try {
    await folder.sync()
  } finally {
    await folder.close()
  }
}

async function openToRead(path: string, range: ByteRange | undefined): Promise<Readable> {
  if ((await sizeOf(path)) === null) throw new AppError('not-found', 'not-found')
  return createReadStream(path, {
    highWaterMark: 262_144,
    ...(range && { start: range.first, end: range.last }),
  })
}

async function removeUntouched(path: string, untouchedMs: number): Promise<boolean> {
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

async function sizeOf(path: string): Promise<number | null> {
  try {
    return (await stat(path)).size
  } catch (error) {
    if (errorCodeOf(error) === 'ENOENT') return null
    throw error
  }
}
