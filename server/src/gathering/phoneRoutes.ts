// What a phone asks for without an account: opening its code, and bringing a file. The key is a cookie of this path.
import { bytesOfBody } from '../http/index.ts'
import { AppError } from '@valise/core/problems'
import type { Context, Hono } from 'hono'
import { getCookie, setCookie } from 'hono/cookie'
import type { GatheringServices } from './services.ts'
import { getLentCamera, saveFromPhone, MOST_PHONE_BYTES, openCode, PHONE_PATH } from './phoneService.ts'

const COOKIE = 'valise-phone'
const API_PATH = '/api/phone'

export function mountPhone(app: Hono, services: GatheringServices): void {
  app.get(`${PHONE_PATH}:code`, async (c) => {
    c.header('cache-control', 'no-store')
    // Whoever only looks where an address leads must not use the code up.
    if (c.req.method === 'HEAD') return c.redirect('/camera', 303)
    const opened = await openCode(services, c.req.param('code'))
    if (opened) {
      setCookie(c, COOKIE, opened.key, {
        httpOnly: true,
        sameSite: 'Lax',
        path: API_PATH,
        secure: services.config.publicAddress.startsWith('https:'),
        // A span, and no instant: the clock of a phone may be another one.
        maxAge: 600,
      })
    }
    return c.redirect('/camera', 303)
  })
  app.get(API_PATH, async (c) => {
    c.header('cache-control', 'no-store')
    return c.json(await getLentCamera(services.database.reader(), keyOf(c)))
  })
  app.post(`${API_PATH}/files`, async (c) => {
    const bytes = Number(c.req.header('content-length') ?? Number.NaN)
    if (!Number.isInteger(bytes)) throw new AppError('invalid', 'invalid-input')
    if (bytes === 0) throw new AppError('invalid', 'file-empty')
    if (bytes > MOST_PHONE_BYTES)
      throw new AppError('too-large', 'file-too-large', { params: { most: MOST_PHONE_BYTES / 1_048_576 } })
    const fileName = (c.req.query('name') ?? '').slice(0, 2000)
    const content = bytesOfBody(c, bytes)
    await saveFromPhone(services, keyOf(c), {
      ...{ fileName, bytes, content },
      isMine: c.req.query('mine') === 'yes',
    })
    return c.body(null, 204)
  })
}

function keyOf(c: Context): string | null {
  return getCookie(c, COOKIE) ?? null
}
