// Serves the built web site: hashed files for ever, the page itself with a fresh nonce each time.
import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Hono } from 'hono'
import { contentSecurityPolicy } from './securityHeaders.ts'

/** Every address that is neither API nor file shows the one page; the web site's own router does the rest. */
export function mountWebSite(app: Hono, folder: string): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8')
  app.use(
    '/assets/*',
    serveStatic({
      root: folder,
      precompressed: true,
      onFound: (_path, c) => c.header('cache-control', 'public, max-age=31536000, immutable'),
    }),
  )
  app.get('/assets/*', (c) => c.notFound())
  app.use('/*', serveFiles(folder))
  app.get('/*', (c) => {
    const nonce = randomBytes(16).toString('base64')
    c.header('content-security-policy', contentSecurityPolicy(nonce))
    c.header('cache-control', 'no-store')
    return c.html(page.replaceAll('__NONCE__', nonce))
  })
}

/** Icon, manifest and the like, by name; the page itself must go through the nonce. */
function serveFiles(folder: string) {
  const files = serveStatic({ root: folder, onFound: (_path, c) => c.header('cache-control', 'no-cache') })
  const isFile = /^\/[\w-]+\.(svg|png|ico|webmanifest|js|txt)$/
  return (c: Parameters<typeof files>[0], next: Parameters<typeof files>[1]) =>
    isFile.test(c.req.path) ? files(c, next) : next()
}
