// An answer in JSON, packed where that is worth it. It is put together as a whole, so that head and body leave in one
// piece; as a stream they cost more than most answers take to compute.
import { promisify } from 'node:util'
import { gzip, gzipSync } from 'node:zlib'
import type { Context } from 'hono'
import type { ContentfulStatusCode } from 'hono/utils/http-status'

/** What is shorter fits into one packet as it is. */
const LEAST_PACKED = 1024
/** What is longer is packed on another thread. */
const MOST_AT_ONCE = 64_000
/** Answers are made anew each time; packing them tighter would take longer than sending the rest. */
const options = { level: 4 }
const gzipElsewhere = promisify(gzip)

/** Returns a value as the body of an answer, packed where the client takes that. */
export async function answerJson(
  c: Context,
  value: unknown,
  status: ContentfulStatusCode,
): Promise<Response> {
  const text = JSON.stringify(value)
  c.header('content-type', 'application/json')
  c.header('vary', 'Accept-Encoding')
  if (text.length < LEAST_PACKED || !/\bgzip\b/.test(c.req.header('accept-encoding') ?? '')) {
    c.header('content-length', String(Buffer.byteLength(text)))
    return c.newResponse(text, status)
  }
  const packed = text.length > MOST_AT_ONCE ? await gzipElsewhere(text, options) : gzipSync(text, options)
  c.header('content-encoding', 'gzip')
  c.header('content-length', String(packed.byteLength))
  return c.newResponse(packed as Uint8Array<ArrayBuffer>, status)
}
