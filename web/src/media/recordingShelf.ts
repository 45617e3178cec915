// Recordings on this device while they are made: second by second, so that a crash loses little.
import { deviceStoreOf } from '../saving/index.ts'

interface RecordingHead {
  readonly recordingId: string
  readonly mime: string
  readonly startedAt: number
  /** Milliseconds so far. */
  readonly lengthMs: number
}

export interface LeftRecording extends RecordingHead {
  /** Everything that was stored of it, as one file. */
  read(): Promise<File>
}

export interface RecordingShelf {
  /** Keeps the next part of a recording. */
  append(recording: RecordingHead, n: number, chunk: Blob): Promise<void>
  remove(recordingId: string): Promise<void>
  /** Recordings that nobody ended: their window crashed or was closed. */
  list(): Promise<LeftRecording[]>
}

const HEAD = 'head'
const shelf = 'recordings'

/** Opens the recordings of one person; null where this device stores nothing: then a recording is lost with its window. */
export async function openRecordingShelf(personId: string): Promise<RecordingShelf | null> {
  const store = await deviceStoreOf(personId)
  if (!store) return null
  const read = async (head: RecordingHead) => {
    const parts = (await store.list(shelf, head.recordingId)).filter(({ part }) => part !== HEAD)
    const bytes = await Promise.all(parts.map((part) => store.getBytes(part)))
    return toFile(
      bytes.filter((one) => one !== undefined),
      head,
    )
  }
  return {
    append: (recording, n, chunk) => {
      const where = { shelf, place: recording.recordingId } as const
      return store.put([{ ...where, part: HEAD }, recording], [{ ...where, part: n }, chunk])
    },
    remove: (recordingId) => store.remove(shelf, recordingId),
    list: async () => {
      const heads = (await store.list(shelf)).filter(({ part }) => part === HEAD)
      const found = await Promise.all(
        heads.map((where) => store.get(where) as Promise<RecordingHead | undefined>),
      )
      return found.flatMap((head) => (head ? [{ ...head, read: () => read(head) }] : []))
    },
  }
}

export function toFile(
  parts: readonly BlobPart[],
  { mime, startedAt }: Pick<RecordingHead, 'mime' | 'startedAt'>,
): File {
  const ending = mime.includes('mp4') ? 'mp4' : 'webm'
  const what = mime.startsWith('audio') ? 'voice' : 'video'
  return new File([...parts], `${what} ${startedAt}.${ending}`, { type: mime, lastModified: startedAt })
}
