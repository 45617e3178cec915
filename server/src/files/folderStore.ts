// The file store in a folder: each file under its SHA-256, written beside its place, synced, then linked into it.
import { createHash, randomUUID } from 'node:crypto'
import type { Hash } from 'node:crypto'
import { createReadStream, mkdirSync } from 'node:fs'
import { open, readdir, statfs } from 'node:fs/promises'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { AppError } from '@valise/core/problems'
import { inLargePieces, linkIntoPlace, removeIfThere, removeUntouched, sizeOf, writeAll } from './disk.ts'
import type { ByteRange, FileStore } from './FileStore.ts'
import { makeIncoming } from './incomingFiles.ts'

const HASH = /^[0-9a-f]{64}$/

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
        await linkIntoPlace(written, pathOf(sha256))
        return { sha256, bytes }
      } finally {
        await removeIfThere(written)
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

async function writeNew(path: string, content: AsyncIterable<Uint8Array>, hash: Hash): Promise<number> {
  const handle = await open(path, 'wx')
  try {
    let bytes = 0
    for await (const piece of inLargePieces(content)) {
      hash.update(piece)
      await writeAll(handle, piece, bytes)
      bytes += piece.length
    }
    await handle.sync()
    return bytes
  } finally {
    await handle.close()
  }
}

async function openToRead(path: string, range: ByteRange | undefined): Promise<Readable> {
  if ((await sizeOf(path)) === null) throw new AppError('not-found', 'not-found')
  return createReadStream(path, {
    highWaterMark: 262_144,
    ...(range && { start: range.first, end: range.last }),
  })
}
