// Serves the built web site: hashed files for ever, the page itself with a fresh nonce each time.
import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Hono, MiddlewareHandler } from 'hono'
import { contentSecurityPolicy } from './securityHeaders.ts'

/** Every address that is neither API nor file shows the one page; the web site's own router does the rest. */
export function mountWebSite(app: Hono, folder: string, frames: readonly string[]): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8')
  app.use(
    '/assets/*',
    cachedAs('public, max-age=31536000, immutable'),
    serveStatic({ root: folder, precompressed: true }),
  )
  app.get('/assets/*', (c) => c.notFound())
  // Icon and the like, by name; the page itself must go through the nonce.
  app.get(
    '/:file{[\\w-]+\\.(?:svg|png|ico|webmanifest|js|txt)}',
    cachedAs('no-cache'),
    serveStatic({ root: folder }),
  )
  app.get('/*', (c) => {
    const nonce = randomBytes(16).toString('base64')
    c.header('content-security-policy', contentSecurityPolicy(nonce, frames))
    c.header('cache-control', 'no-store')
    return c.html(page.replaceAll('__NONCE__', nonce))
  })
}

function cachedAs(rule: string): MiddlewareHandler {
  return async (c, next) => {
    await next()
    if (c.res.ok) c.res.headers.set('cache-control', rule)
  }
}
