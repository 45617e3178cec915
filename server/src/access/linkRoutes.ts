// Opening a visitor link: its code goes into a cookie of that link alone, and the address goes on without it.
import { screenOf } from '@valise/core/things'
import type { Hono } from 'hono'
import { setCookie } from 'hono/cookie'
import { LINK_COOKIE } from '../http/index.ts'
import type { HttpServices } from '../http/index.ts'
import { findLinks } from './viewer.ts'
import type { AccessServices } from './viewer.ts'
import { OPEN_PATH } from './service.ts'

/** Mounts the addresses of links. A code that does not work, or works no longer, leads to a page that says so. */
export function mountLinks(app: Hono, services: AccessServices & HttpServices): void {
  app.get(`${OPEN_PATH}:code`, async (c) => {
    const code = c.req.param('code')
    const [link] = await findLinks(services.database.reader(), services, [code])
    if (!link) return c.redirect('/no-such-link', 303)
    // Without an end of its own: it goes when the browser is closed, so that nothing is left for the next.
    setCookie(c, `${LINK_COOKIE}${link.id}`, code, {
      httpOnly: true,
      sameSite: 'Lax',
      path: '/',
      secure: services.config.publicAddress.startsWith('https:'),
    })
    c.header('cache-control', 'no-store')
    return c.redirect(screenOf(link.kind, link.thingId), 303)
  })
}
