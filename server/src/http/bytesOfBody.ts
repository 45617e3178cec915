// The bytes of a request as they come, for what is too large to be held at once.
import { AppError } from '@valise/core/problems'

/** Streams a request body. @throws AppError `invalid` when it has fewer or more bytes than announced */
export async function* bytesOfBody(request: Request, announced: number): AsyncIterable<Uint8Array> {
  let bytes = 0
  for await (const chunk of request.body ?? []) {
    bytes += chunk.length
    if (bytes > announced) break
    yield chunk
  }
  if (bytes !== announced) throw new AppError('invalid', 'file-cut-off')
}
