// Serves the built web site: hashed files for ever, the page itself with a fresh nonce each time.
import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import { AppError } from '@valise/core/problems'
import type { Hono, MiddlewareHandler } from 'hono'
import { patternOf } from './patternOf.ts'
import { contentSecurityPolicy } from './securityHeaders.ts'

/**
 * Serves the single page for every address that is neither API nor file; the web router does the rest. Addresses that
 * the router does not know are answered with 404 and the same page.
 */
export function mountWebSite(app: Hono, folder: string, frames: readonly string[]): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8')
  const isKnown = readPaths(folder)
  app.use(
    '/assets/*',
    cachedAs('public, max-age=31536000, immutable'),
    serveStatic({ root: folder, precompressed: true }),
  )
  app.get('/assets/*', (c) => c.notFound())
  // Icon and the like, by name; the page itself must go through the nonce.
  const byName = '/:file{[\\w-]+\\.(?:svg|png|ico|webmanifest|js|txt)}'
  app.get(byName, cachedAs('no-cache'), serveStatic({ root: folder }))
  app.get(byName, (c) => c.notFound())
  app.get('/*', (c) => {
    const nonce = randomBytes(16).toString('base64')
    c.header('content-security-policy', contentSecurityPolicy(nonce, frames))
    c.header('cache-control', 'no-store')
    return c.html(page.replaceAll('__NONCE__', nonce), isKnown(c.req.path) ? 200 : 404)
  })
  app.all('/*', () => {
    throw new AppError('not-allowed', 'not-allowed', { params: { allowed: 'GET, HEAD' } })
  })
}

/** The addresses that the router of the web site knows, as the build wrote them down. */
function readPaths(folder: string): (path: string) => boolean {
  const file = join(folder, 'paths.json')
  if (!existsSync(file)) return () => true
  const paths: string[] = JSON.parse(readFileSync(file, 'utf8'))
  const patterns = paths.map(patternOf)
  return (path) => path === '/' || patterns.some((pattern) => pattern.test(path))
}

function cachedAs(rule: string): MiddlewareHandler {
  return async (c, next) => {
    await next()
    if (c.res.ok) c.res.headers.set('cache-control', rule)
  }
}
