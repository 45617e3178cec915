// Files on their way in: written on where they stopped, hashed as they come, and linked into place when all is there.
import { createHash } from 'node:crypto'
import type { Hash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { open, readdir } from 'node:fs/promises'
import type { FileHandle } from 'node:fs/promises'
import { join } from 'node:path'
import { AppError } from '@valise/core/problems'
import { errorCodeOf } from '../system/index.ts'
import {
  inLargePieces,
  linkIntoPlace,
  removeIfThere,
  removeUntouched,
  sizeOf,
  toNoSpace,
  writeAll,
} from './disk.ts'
import type { IncomingFiles, StoredFile } from './FileStore.ts'

const INCOMING_ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/
/** Large reads, because hashing in small ones costs more than the hash. */
const READ_BYTES = 1_048_576

/** @param placeOf the place of a file among those that are stored, by its SHA-256 */
export function makeIncoming(folder: string, placeOf: (sha256: string) => string): IncomingFiles {
  const pathOf = (id: string) => {
    if (!INCOMING_ID.test(id)) throw new Error('no id of an incoming file')
    return join(folder, id)
  }
  const hashing = new Map<string, Hashing>()
  return {
    async append(id, offset, content) {
      const path = pathOf(id)
      const known = offset === 0 ? { hash: createHash('sha256'), bytes: 0 } : hashing.get(id)
      hashing.delete(id)
      const arrived = await appendTo(path, offset, content, known?.bytes === offset ? known.hash : null)
      if (known?.bytes === offset) hashing.set(id, { hash: known.hash, bytes: arrived })
      return arrived
    },
    received: async (id) => (await sizeOf(pathOf(id))) ?? 0,
    async save(id): Promise<StoredFile> {
      const path = pathOf(id)
      const { hash, bytes } = await hashOf(path, hashing.get(id))
      const sha256 = hash.copy().digest('hex')
      await linkIntoPlace(path, placeOf(sha256))
      return { sha256, bytes }
    },
    async drop(id) {
      hashing.delete(id)
      await removeIfThere(pathOf(id))
    },
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

/** The hash of a file's first bytes. */
interface Hashing {
  readonly hash: Hash
  readonly bytes: number
}

/** Hashes a file, unless that was done while it came in. After a restart, or a line that broke, it was not. */
async function hashOf(path: string, known: Hashing | undefined): Promise<Hashing> {
  if (known && known.bytes === (await sizeOf(path))) return known
  const hash = createHash('sha256')
  let bytes = 0
  for await (const chunk of createReadStream(path, { highWaterMark: READ_BYTES })) {
    hash.update(chunk)
    bytes += chunk.length
  }
  return { hash, bytes }
}

async function appendTo(
  path: string,
  offset: number,
  content: AsyncIterable<Uint8Array>,
  hash: Hash | null,
): Promise<number> {
  const handle = await open(path, offset === 0 ? 'w' : 'r+')
  let at = offset
  try {
    for await (const piece of inLargePieces(content)) {
      await writeAll(handle, piece, at)
      hash?.update(piece)
      at += piece.length
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
