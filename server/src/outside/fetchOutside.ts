// Fetching from addresses that people give: public places only, limited in time and size, never further than that.
import { lookup as resolveName } from 'node:dns/promises'
import { request as requestPlain } from 'node:http'
import type { IncomingMessage } from 'node:http'
import { request as requestSecure } from 'node:https'
import type { LookupFunction } from 'node:net'
import ipaddr from 'ipaddr.js'

export interface OutsidePolicy {
  /** Origins that may be fetched although they are not public: the stand-ins of the demo. */
  readonly allowedOrigins: readonly string[]
  /** Hosts that the school's network does not let through; a name stands for all below it. */
  readonly blockedHosts: readonly string[]
  /** Milliseconds for all of it, redirects included. */
  readonly limitMs: number
}

export interface Fetched {
  /** Where the answer came from in the end. */
  readonly address: string
  readonly status: number
  readonly mime: string
  /** As the answer names it; null where it does not. */
  readonly charset: string | null
  readonly body: Buffer
}

/** Why a fetch failed: not allowed, no answer, too slow, or blocked by a filter. */
export type OutsideReason = 'unsafe' | 'dead' | 'slow' | 'blocked'

export class OutsideError extends Error {
  readonly reason: OutsideReason

  constructor(reason: OutsideReason, message: string, options?: ErrorOptions) {
    super(message, options)
    this.name = 'OutsideError'
    this.reason = reason
  }
}

const MOST_REDIRECTS = 3
const REDIRECTS = [301, 302, 303, 307, 308]
/** Unavailable for legal reasons (RFC 7725), network authentication required (RFC 6585), a proxy that wants a name. */
const FILTERED = [407, 451, 511]

/**
 * Fetches an address by GET. Each redirect is checked again, and the connection goes to the very IP address that was
 * checked, so that DNS cannot change between check and connection.
 *
 * @throws OutsideError with the reason
 */
export async function fetchOutside(
  address: string,
  policy: OutsidePolicy,
  wish: { readonly accept: string; readonly mostBytes: number },
): Promise<Fetched> {
  const endsAt = Date.now() + policy.limitMs
  let next = address
  for (let step = 0; step <= MOST_REDIRECTS; step += 1) {
    const url = readAddress(next)
    const host = await checkedHost(url, policy, endsAt)
    const response = await ask(url, host, wish, endsAt)
    const status = response.statusCode ?? 0
    const { location } = response.headers
    if (FILTERED.includes(status)) {
      response.destroy()
      throw new OutsideError('blocked', `a filter answered ${status}`)
    }
    if (!REDIRECTS.includes(status) || location === undefined) {
      const type = response.headers['content-type'] ?? ''
      const mime = type.split(';')[0]?.trim().toLowerCase() ?? ''
      const charset = /;\s*charset="?([\w:.-]+)/i.exec(type)?.[1] ?? null
      if (status >= 400 && ![401, 403].includes(status)) {
        response.destroy()
        throw new OutsideError(status === 504 ? 'slow' : 'dead', `it answered ${status}`)
      }
      const body = await readBody(response, wish.mostBytes, endsAt)
      return { address: url.href, status, mime, charset, body }
    }
    response.destroy()
    if (!URL.canParse(location, url.href)) throw new OutsideError('dead', 'it leads to no address')
    next = new URL(location, url).href
  }
  throw new OutsideError('dead', 'it leads on and on')
}

function readAddress(text: string): URL {
  if (!URL.canParse(text)) throw new OutsideError('unsafe', 'not an address')
  const url = new URL(text)
  if (!['http:', 'https:'].includes(url.protocol))
    throw new OutsideError('unsafe', `not the web: ${url.protocol}`)
  if (url.username !== '' || url.password !== '')
    throw new OutsideError('unsafe', 'it carries a name or password')
  return url
}

/** The number of a host, once it is known to be public; null for an allowed origin, which is asked as it stands. */
async function checkedHost(url: URL, policy: OutsidePolicy, endsAt: number): Promise<string | null> {
  const name = url.hostname.replace(/^\[|\]$/g, '').replace(/\.$/, '')
  if (policy.blockedHosts.some((host) => name === host || name.endsWith(`.${host}`)))
    throw new OutsideError('blocked', 'the school blocks this host')
  if (policy.allowedOrigins.includes(url.origin)) return null
  if (url.port !== '') throw new OutsideError('unsafe', 'an unusual port')
  const numbers = ipaddr.isValid(name) ? [name] : await numbersOf(name, endsAt)
  // All of them must be public: which one a program takes is chance.
  if (!numbers.every(isPublic)) throw new OutsideError('unsafe', 'not a public place')
  const [first] = numbers
  if (first === undefined) throw new OutsideError('dead', 'nobody has this name')
  return first
}

async function numbersOf(name: string, endsAt: number): Promise<string[]> {
  // A name without a dot is one of the inner network.
  if (!name.includes('.')) throw new OutsideError('unsafe', 'not a public name')
  try {
    const found = await within(resolveName(name, { all: true }), endsAt)
    return found.map(({ address }) => address)
  } catch (cause) {
    if (cause instanceof OutsideError) throw cause
    throw new OutsideError('dead', 'nobody has this name', { cause })
  }
}

/**
 * Returns whether an IP address is public.
 *
 * Of IPv6 only 2000::/3 is public (RFC 4291, the IANA registry). Addresses outside it that embed an IPv4 address,
 * such as ::127.0.0.1, are not; those within it are checked by their range.
 */
export function isPublic(address: string): boolean {
  if (!ipaddr.isValid(address)) return false
  const parsed = ipaddr.process(address)
  const isGivenOut = !(parsed instanceof ipaddr.IPv6) || ((parsed.parts[0] ?? 0) & 0xe000) === 0x2000
  return isGivenOut && parsed.range() === 'unicast'
}

function ask(
  url: URL,
  host: string | null,
  { accept }: { readonly accept: string },
  endsAt: number,
): Promise<IncomingMessage> {
  const pinned: LookupFunction = (_name, options, callback) => {
    const family = host !== null && ipaddr.parse(host).kind() === 'ipv6' ? 6 : 4
    if (options.all) callback(null, [{ address: host ?? '', family }])
    else callback(null, host ?? '', family)
  }
  return new Promise((resolve, reject) => {
    const send = url.protocol === 'https:' ? requestSecure : requestPlain
    const request = send(url, {
      method: 'GET',
      headers: { accept, 'user-agent': 'Valise link reader', 'accept-encoding': 'identity' },
      agent: false,
      ...(host !== null && { lookup: pinned }),
    })
    const timer = setTimeout(() => request.destroy(tooSlow()), Math.max(1, endsAt - Date.now()))
    request.once('response', (response) => {
      clearTimeout(timer)
      resolve(response)
    })
    request.once('error', (cause) => {
      clearTimeout(timer)
      reject(cause instanceof OutsideError ? cause : new OutsideError('dead', 'nobody answers', { cause }))
    })
    request.end()
  })
}

async function readBody(response: IncomingMessage, mostBytes: number, endsAt: number): Promise<Buffer> {
  const timer = setTimeout(() => response.destroy(tooSlow()), Math.max(1, endsAt - Date.now()))
  const parts: Buffer[] = []
  let bytes = 0
  try {
    for await (const chunk of response as AsyncIterable<Buffer>) {
      parts.push(chunk)
      bytes += chunk.length
      // The head of a long page says what it is; the rest is not wanted.
      if (bytes >= mostBytes) break
    }
  } catch (cause) {
    throw cause instanceof OutsideError ? cause : new OutsideError('dead', 'it broke off', { cause })
  } finally {
    clearTimeout(timer)
    response.destroy()
  }
  return Buffer.concat(parts).subarray(0, mostBytes)
}

function within<T>(work: Promise<T>, endsAt: number): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(tooSlow()), Math.max(1, endsAt - Date.now()))
    work.then(resolve, reject).finally(() => clearTimeout(timer))
  })
}

function tooSlow(): OutsideError {
  return new OutsideError('slow', 'it took too long')
}
