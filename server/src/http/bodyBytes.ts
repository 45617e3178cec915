// The bytes of a request: as they come, for what is too large to be held at once, or as one text.
import { AppError } from '@valise/core/problems'
import type { Context } from 'hono'
import type { IncomingMessage } from 'node:http'

const MOST_TEXT_BYTES = 1_000_000

/** Streams a request body. @throws AppError `invalid` when it has fewer or more bytes than announced */
export async function* bytesOfBody(c: Context, announced: number): AsyncIterable<Uint8Array> {
  let bytes = 0
  for await (const chunk of bytesOf(c)) {
    bytes += chunk.length
    if (bytes > announced) break
    yield chunk
  }
  if (bytes !== announced) throw new AppError('invalid', 'file-cut-off')
}

/** Reads a request body as text. @throws AppError `too-large`, without reading a long one to its end */
export async function readBodyText(c: Context): Promise<string> {
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of bytesOf(c)) {
    size += chunk.length
    if (size > MOST_TEXT_BYTES) throw new AppError('too-large', 'too-large')
    chunks.push(chunk)
  }
  return Buffer.concat(chunks).toString('utf8')
}

/**
 * The body as Node has it: making a request of the web standard only to read it costs more than reading. Whoever stops
 * reading leaves the connection open, so that the refusal can be answered.
 */
function bytesOf(c: Context): AsyncIterable<Uint8Array> {
  const incoming: IncomingMessage | undefined = c.env?.incoming
  return incoming?.iterator({ destroyOnReturn: false }) ?? bytesOfRequest(c.req.raw)
}

/** Without a server in between, as tests ask. */
async function* bytesOfRequest({ body }: Request): AsyncIterable<Uint8Array> {
  yield* body ?? []
}
