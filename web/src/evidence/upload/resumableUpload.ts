// Sending a file so that it can be gone on with: the tus protocol, its library fetched when it is first needed.
import { ApiProblem, readProblem } from '../../api/index.ts'

const ENDPOINT = '/api/uploads'
/** Pieces small enough that a slow line gets one through before anybody loses patience. */
const PIECE_BYTES = 16 * 1_048_576
const LONGEST_PAUSE_MS = 15_000
/** Tried again for as long as the window stands: about a day of pauses. */
const TRIES = 6000

export interface FileToSend {
  readonly file: File
  /** The metadata of the upload. */
  readonly metadata: Readonly<Record<string, string>>
  /** The upload to go on with, or null to begin one. */
  readonly uploadId: string | null
}

export interface SendingEvents {
  onBegun(uploadId: string): void
  onProgress(sent: number): void
  /** The line broke; it is tried again by itself. */
  onPause(): void
  onDone(): void
  onRefused(problem: ApiProblem): void
}

export interface Sending {
  /** Stops sending; what has arrived stays there. */
  stop(): Promise<void>
}

export async function sendFile(
  { file, metadata, uploadId }: FileToSend,
  events: SendingEvents,
): Promise<Sending> {
  const { Upload } = await import('tus-js-client')
  const upload = new Upload(file, {
    // No endpoint when resuming: a missing upload must be reported, not silently started anew.
    ...(uploadId === null ? { endpoint: ENDPOINT } : { uploadUrl: `${ENDPOINT}/${uploadId}` }),
    metadata: { ...metadata },
    chunkSize: PIECE_BYTES,
    retryDelays: Array.from({ length: TRIES }, (_, n) =>
      Math.min(LONGEST_PAUSE_MS, 500 * 2 ** Math.min(n, 5)),
    ),
    // The server knows what is open. Nothing is written down on a computer that others may use.
    storeFingerprintForResuming: false,
    onUploadUrlAvailable: () => events.onBegun(upload.url?.split('/').at(-1) ?? ''),
    onProgress: (sent) => events.onProgress(sent),
    onShouldRetry: ({ originalResponse }) => {
      const status = originalResponse?.getStatus() ?? 0
      // 0 is a broken line, 409 a piece that was sent twice, 423 one that is still being written.
      const mayGoBetter =
        status === 0 || status === 409 || status === 423 || (status >= 500 && status !== 507)
      const isOurs = readProblem(originalResponse?.getBody() ?? '') !== null
      if (!mayGoBetter || (status === 409 && isOurs)) return false
      events.onPause()
      // A browser tells a file that changed under its hands no differently from a broken line.
      void isReadable(file).then((is) => {
        if (!is) void upload.abort().then(() => events.onRefused(ApiProblem.ofDevice('file-changed')))
      })
      return true
    },
    onSuccess: () => events.onDone(),
    onError: (error) => {
      const response = 'originalResponse' in error ? error.originalResponse : null
      if (error instanceof DOMException) return events.onRefused(ApiProblem.ofDevice('file-changed'))
      events.onRefused(new ApiProblem(readProblem(response?.getBody() ?? ''), error))
    },
  })
  upload.start()
  return { stop: () => upload.abort() }
}

/** Whether the file is still what was chosen: browsers refuse to read one that changed or moved since. */
async function isReadable(file: File): Promise<boolean> {
  try {
    await file.slice(0, 1).arrayBuffer()
    return true
  } catch {
    return false
  }
}
