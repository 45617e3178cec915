// Asking a service that the school has set up: a shared drive, a picture shelf.
import { AppError } from '@valise/core/problems'
import type { TSchema, Static } from 'typebox'
import { parseInput } from '../validation/index.ts'

const LIMIT_MS = 15_000

/** The service refuses this person, or does not know the thing. */
export class ServiceRefusal extends Error {
  readonly status: number

  constructor(status: number) {
    super(`the service answered ${status}`)
    this.name = 'ServiceRefusal'
    this.status = status
  }
}

/** Calls a service. @throws ServiceRefusal for 403, 404 and 410; AppError `busy` for any other failure */
export async function askService(address: string, init: RequestInit = {}): Promise<Response> {
  const response = await fetch(address, { ...init, signal: AbortSignal.timeout(LIMIT_MS) }).catch(
    (cause: unknown) => {
      throw new AppError('busy', 'service-away', { cause })
    },
  )
  if (response.ok) return response
  await response.body?.cancel()
  if ([403, 404, 410].includes(response.status)) throw new ServiceRefusal(response.status)
  throw new AppError('busy', 'service-away', { cause: new Error(`it answered ${response.status}`) })
}

export async function askJson<S extends TSchema>(
  address: string,
  schema: S,
  init: RequestInit = {},
): Promise<Static<S>> {
  const response = await askService(address, init)
  const body: unknown = await response.json().catch((cause: unknown) => {
    throw new AppError('busy', 'service-away', { cause })
  })
  // Checked against the very schema.
  return parseInput(schema, body) as Static<S>
}

/** Streams the bytes of a response; fails when there are more than `most`. */
export async function* bytesOf(response: Response, most: number): AsyncIterable<Uint8Array> {
  let bytes = 0
  for await (const chunk of response.body ?? []) {
    bytes += chunk.length
    if (bytes > most) throw new AppError('too-large', 'too-large')
    yield chunk
  }
}
