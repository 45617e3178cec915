// The headers that every answer carries, and the check that a write comes from our own site.
import { AppError } from '@valise/core/problems'
import type { MiddlewareHandler } from 'hono'

const LOCAL_NAMES = ['localhost', '127.0.0.1', '[::1]']
const PERMISSIONS = 'camera=(self), microphone=(self), geolocation=(), payment=(), usb=(), interest-cohort=()'

/**
 * Returns the policy: everything from this origin, styles with the nonce of this response, frames of known media,
 * nothing else.
 */
export function contentSecurityPolicy(nonce: string, frames: readonly string[] = []): string {
  return [
    "default-src 'none'",
    "script-src 'self'",
    `style-src 'self' 'nonce-${nonce}'`,
    "img-src 'self' blob: data:",
    "media-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    ...(frames.length > 0 ? [`frame-src ${frames.join(' ')}`] : []),
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}

export const securityHeaders: MiddlewareHandler = async (c, next) => {
  await next()
  const headers = c.res.headers
  headers.set('x-content-type-options', 'nosniff')
  headers.set('referrer-policy', 'same-origin')
  headers.set('cross-origin-opener-policy', 'same-origin')
  headers.set('cross-origin-resource-policy', 'same-origin')
  headers.set('permissions-policy', PERMISSIONS)
  headers.set('x-robots-tag', 'noindex')
  if (!headers.has('content-security-policy')) {
    headers.set('content-security-policy', "default-src 'none'; frame-ancestors 'none'")
  }
}

/**
 * Refuses writes that another web site sent with the cookie of this one.
 *
 * Browsers send `Sec-Fetch-Site` or at least `Origin` with every write; a request with neither comes from no browser
 * and so carries no borrowed cookie.
 */
export function assertOwnSite(request: Request, publicAddress: string): void {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return
  const site = request.headers.get('sec-fetch-site')
  const origin = request.headers.get('origin')
  if (site !== null && site !== 'same-origin' && site !== 'none')
    throw new AppError('forbidden', 'another-site')
  if (origin === null) return
  if (!isOwnOrigin(origin, publicAddress)) throw new AppError('forbidden', 'another-site')
}

/**
 * Whether an origin is the configured one. The Host header says nothing: a name of somebody else's that leads to this
 * machine brings its own. A server that is reached on this machine alone has all of the machine's own names.
 */
function isOwnOrigin(origin: string, publicAddress: string): boolean {
  if (!URL.canParse(origin)) return false
  const [theirs, own] = [new URL(origin), new URL(publicAddress)]
  if (theirs.origin === own.origin) return true
  const isLocal = ({ hostname }: URL) => LOCAL_NAMES.includes(hostname)
  return isLocal(own) && isLocal(theirs) && theirs.protocol === own.protocol && theirs.port === own.port
}
