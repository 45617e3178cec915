// Answers that are files: shut in so that nothing in them runs, whole or in the one part that was asked for.
import { Readable } from 'node:stream'
import contentDisposition from 'content-disposition'
import type { ByteRange, FileStore } from '../files/index.ts'

export interface FileAnswer {
  readonly sha256: string
  readonly bytes: number
  readonly mime: string
  /** The name under which it is saved. */
  readonly fileName: string
  /** Whether a browser may show it in its place; else it is only ever saved. */
  readonly inline: boolean
  /** Whether its address names what it shows: then its owner's browser may keep it for a while. */
  readonly isVersioned?: boolean
}

const KEPT_SECONDS = 24 * 3600

/** Answers with a file, or with the requested range (RFC 9110, one range at most). */
export async function answerFile(request: Request, files: FileStore, file: FileAnswer): Promise<Response> {
  const headers = new Headers({
    'content-type': file.mime.startsWith('text/') ? `${file.mime}; charset=utf-8` : file.mime,
    'content-disposition': contentDisposition(file.fileName, { type: file.inline ? 'inline' : 'attachment' }),
    'content-security-policy': "sandbox; default-src 'none'; frame-ancestors 'none'",
    // Nothing of one person is left on a shared computer, and nobody on the way packs it anew.
    'cache-control': 'private, no-store, no-transform',
    'accept-ranges': 'bytes',
  })
  if (file.isVersioned) {
    const etag = `"${file.sha256.slice(0, 32)}"`
    headers.set('cache-control', `private, max-age=${KEPT_SECONDS}, no-transform`)
    // Kept for this session alone: whoever signs in next on the same computer brings another cookie.
    headers.set('vary', 'cookie')
    headers.set('etag', etag)
    if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers })
  }
  const range = readRange(request.headers.get('range'), file.bytes)
  if (range === 'outside') {
    headers.set('content-range', `bytes */${file.bytes}`)
    return new Response(null, { status: 416, headers })
  }
  const { first, last } = range ?? { first: 0, last: file.bytes - 1 }
  headers.set('content-length', String(last - first + 1))
  if (range) headers.set('content-range', `bytes ${first}-${last}/${file.bytes}`)
  const status = range ? 206 : 200
  if (request.method === 'HEAD') return new Response(null, { status, headers })
  const content = await files.open(file.sha256, { first, last })
  // Node's stream type and the web's differ in name only.
  return new Response(Readable.toWeb(content) as ReadableStream, { status, headers })
}

/** The range of a Range header; null for none and for forms that may be passed over. */
function readRange(header: string | null, bytes: number): ByteRange | 'outside' | null {
  const match = /^bytes=(\d{0,15})-(\d{0,15})$/.exec(header ?? '')
  if (!match || (match[1] === '' && match[2] === '')) return null
  const [, from, until] = match
  if (from === '') {
    const length = Math.min(Number(until), bytes)
    return length === 0 ? 'outside' : { first: bytes - length, last: bytes - 1 }
  }
  const first = Number(from)
  const last = until === '' ? bytes - 1 : Math.min(Number(until), bytes - 1)
  if (first >= bytes) return 'outside'
  return first > last ? null : { first, last }
}
