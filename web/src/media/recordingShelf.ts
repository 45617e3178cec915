// Recordings on this device while they are made: second by second, encrypted under a key that only a sign-in brings, so
// that a crash loses little and nobody else can hear them.
import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import { fetchDeviceKey } from '../saving/index.ts'

interface StoredChunk {
  readonly personId: string
  readonly recordingId: string
  readonly n: number
  readonly iv: Uint8Array<ArrayBuffer>
  readonly sealed: ArrayBuffer
}

interface StoredHead {
  readonly personId: string
  readonly recordingId: string
  readonly mime: string
  readonly startedAt: number
  /** Milliseconds so far. */
  readonly lengthMs: number
}

interface Shelf extends DBSchema {
  heads: { key: [string, string]; value: StoredHead }
  parts: { key: [string, string, number]; value: StoredChunk }
}

export interface LeftRecording extends StoredHead {
  /** Everything that was stored of it, as one blob. */
  read(): Promise<File>
}

export interface RecordingShelf {
  /** Keeps the next part of a recording. */
  append(
    recording: Pick<StoredHead, 'recordingId' | 'mime' | 'startedAt' | 'lengthMs'>,
    n: number,
    chunk: Blob,
  ): Promise<void>
  remove(recordingId: string): Promise<void>
  /** Recordings that nobody ended: their window crashed or was closed. */
  list(): Promise<LeftRecording[]>
}

/**
 * Opens the store of recordings; null where the browser offers no storage or encryption: then a recording is lost
 * with its window.
 */
export async function openRecordingShelf(personId: string): Promise<RecordingShelf | null> {
  if (!('indexedDB' in globalThis) || !globalThis.crypto?.subtle) return null
  const [shelf, key] = await Promise.all([openShelf(), fetchDeviceKey()])
  const regionsOf = (recordingId: string) =>
    IDBKeyRange.bound([personId, recordingId], [personId, recordingId, []])
  return {
    append: async (recording, n, chunk) => {
      const iv = crypto.getRandomValues(new Uint8Array(12))
      const sealed = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, await chunk.arrayBuffer())
      const { recordingId } = recording
      const writing = shelf.transaction(['heads', 'parts'], 'readwrite')
      await Promise.all([
        writing.objectStore('heads').put({ personId, ...recording }),
        writing.objectStore('parts').put({ personId, recordingId, n, iv, sealed }),
        writing.done,
      ])
    },
    remove: async (recordingId) => {
      await shelf.delete('heads', [personId, recordingId])
      await shelf.delete('parts', regionsOf(recordingId))
    },
    list: async () => {
      const heads = await shelf.getAll('heads', IDBKeyRange.bound([personId], [personId, []]))
      return heads.map((head) => ({
        ...head,
        read: async () => {
          const parts = await shelf.getAll('parts', regionsOf(head.recordingId))
          const open = ({ iv, sealed }: StoredChunk) =>
            crypto.subtle.decrypt({ name: 'AES-GCM', iv }, key, sealed)
          return toFile(await Promise.all(parts.map(open)), head)
        },
      }))
    },
  }
}

export function toFile(
  parts: readonly BlobPart[],
  { mime, startedAt }: Pick<StoredHead, 'mime' | 'startedAt'>,
): File {
  const ending = mime.includes('mp4') ? 'mp4' : 'webm'
  const what = mime.startsWith('audio') ? 'voice' : 'video'
  return new File([...parts], `${what} ${startedAt}.${ending}`, { type: mime, lastModified: startedAt })
}

function openShelf(): Promise<IDBPDatabase<Shelf>> {
  return openDB<Shelf>('valise-recordings', 1, {
    upgrade: (database) => {
      database.createObjectStore('heads', { keyPath: ['personId', 'recordingId'] })
      database.createObjectStore('parts', { keyPath: ['personId', 'recordingId', 'n'] })
    },
    blocking: (_present, _next, event) => {
      if (event.target instanceof IDBDatabase) event.target.close()
    },
  })
}
