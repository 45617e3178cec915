// The only place that talks to the server.
import type { Problem } from '@valise/core/problems'
import { ApiProblem } from './ApiProblem.ts'
import { noteServerTime } from './serverClock.ts'

export interface AskOptions {
  readonly body?: unknown
  /** The revision that is changed. */
  readonly revision?: number
  /** The same for each try of one act, so that it has one effect. */
  readonly key?: string
  readonly signal?: AbortSignal
  /** Asked by the page itself, so no sign that somebody sits there. */
  readonly background?: boolean
  readonly headers?: Readonly<Record<string, string>>
}

const MOST_KEPT_ALIVE = 15_000

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'

/** Sends a request and returns its answer. Answers are trusted: the server's tests check each against its schema. */
export async function ask<T>(method: Method, path: string, options: AskOptions = {}): Promise<T> {
  const askedAt = performance.now()
  const response = await send(method, path, options)
  noteServerTime(response.headers.get('valise-time'))
  if (response.status === 204) return undefined as T
  const text = await response.text()
  if (response.ok) return JSON.parse(text)
  throw new ApiProblem(readProblem(text), undefined, askedAt)
}

export function get<T>(path: string, signal?: AbortSignal): Promise<T> {
  return ask('GET', path, signal ? { signal } : {})
}

/** Returns an address with its query parameters; empty values are left out. */
export function withQuery(
  path: string,
  values: Readonly<Record<string, string | number | null | undefined>>,
): string {
  const query = new URLSearchParams()
  for (const [name, value] of Object.entries(values)) {
    if (value !== undefined && value !== null && value !== '') query.set(name, String(value))
  }
  return query.size > 0 ? `${path}?${query}` : path
}

async function send(method: Method, path: string, options: AskOptions): Promise<Response> {
  const headers = new Headers({ accept: 'application/json', ...options.headers })
  if (options.body !== undefined) headers.set('content-type', 'application/json')
  if (options.revision !== undefined) headers.set('if-match', `"r${options.revision}"`)
  if (options.key !== undefined) headers.set('idempotency-key', options.key)
  if (options.background) headers.set('valise-background', '1')
  const body = options.body === undefined ? undefined : JSON.stringify(options.body)
  try {
    return await fetch(path, {
      method,
      headers,
      credentials: 'same-origin',
      ...(body !== undefined && { body }),
      // What was typed last goes out even while the window closes; browsers allow that up to a size.
      keepalive: method !== 'GET' && (body?.length ?? 0) < MOST_KEPT_ALIVE,
      ...(options.signal && { signal: options.signal }),
    })
  } catch (cause) {
    if (options.signal?.aborted) throw cause
    throw new ApiProblem(null, cause)
  }
}

/** Parses problem details; null for anything else, such as the answer of a proxy. */
export function readProblem(text: string): Problem | null {
  try {
    const problem: Problem = JSON.parse(text)
    return typeof problem.reason === 'string' ? problem : null
  } catch {
    return null
  }
}

/** Fetches the bytes of a file. */
export async function getBytes(path: string, signal?: AbortSignal): Promise<ArrayBuffer> {
  const response = await fetch(path, { credentials: 'same-origin', ...(signal && { signal }) }).catch(
    (cause: unknown) => {
      if (signal?.aborted) throw cause
      throw new ApiProblem(null, cause)
    },
  )
  if (!response.ok) throw new ApiProblem(readProblem(await response.text()))
  return response.arrayBuffer()
}

/** Sends bytes in one request. */
export async function sendBody(path: string, body: Blob): Promise<void> {
  const headers = { 'content-type': 'application/octet-stream' }
  const init = { method: 'POST', headers, body, credentials: 'same-origin' } as const
  const response = await fetch(path, init).catch((cause: unknown) => {
    throw new ApiProblem(null, cause)
  })
  if (!response.ok) throw new ApiProblem(readProblem(await response.text()))
}
