// Bytes that are at hand, as the stream that a store takes.

export async function* streamOf(content: Uint8Array): AsyncIterable<Uint8Array> {
  yield content
}
