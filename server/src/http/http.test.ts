import { jest } from '@jest/globals'
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { Ajv2020 } from 'ajv/dist/2020.js'
import { createApp, VERSION } from '../app.ts'
import { makeSmallSchool, makeTestSite, openTestSqlite, testConfig } from '../testing/index.ts'
import { openLog } from '../log/index.ts'
import { assertOwnSite, route, statusOf } from './index.ts'
import { shiftedClock } from '../system/index.ts'
import { addMinutes } from '@valise/core/time'
import { errorCodes } from '@valise/core/problems'
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'

async function start(config = testConfig) {
  const site = makeTestSite(await openTestSqlite(), [], config)
  await makeSmallSchool(site.services)
  const browser = site.browser()
  return { site, browser }
}

describe('what every answer carries', () => {
  it('closes the door to sniffing, framing, referrers and search engines', async () => {
    const { browser } = await start()
    const { headers } = await browser.get('/api/status')
    expect(Object.fromEntries(headers)).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'cross-origin-opener-policy': 'same-origin',
      'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
      'x-robots-tag': 'noindex',
      'cache-control': 'no-store',
    })
  })

  it('packs a long answer where the client takes that, and sends a short one as it is', async () => {
    const { site } = await start()
    const words = 'low water at seven '.repeat(200)
    const long = route(
      {
        method: 'get',
        path: '/api/long',
        summary: 'Much',
        who: 'anyone',
        answer: object({ words: Type.String() }),
      },
      async () => ({ words }),
    )
    const app = createApp(site.services, { extraRoutes: [long] })
    const ask = async (path: string, headers: Record<string, string> = {}) => app.request(path, { headers })
    const packed = await ask('/api/long', { 'accept-encoding': 'br, gzip' })
    const bytes = Buffer.from(await packed.arrayBuffer())
    expect(JSON.parse(gunzipSync(bytes).toString())).toEqual({ words })
    expect(Object.fromEntries(packed.headers)).toMatchObject({
      ...{ 'content-encoding': 'gzip', vary: 'Accept-Encoding', 'content-type': 'application/json' },
      'content-length': String(bytes.length),
    })
    const plain = await ask('/api/long')
    expect([plain.headers.get('content-encoding'), await plain.json()]).toEqual([null, { words }])
    const short = await ask('/api/status', { 'accept-encoding': 'gzip' })
    expect(short.headers.get('content-encoding')).toBeNull()
    expect(short.headers.get('content-length')).toBe(String((await short.text()).length))
  })

  it('gives the page a fresh nonce each time and no inline script', async () => {
    const { browser } = await start({ ...testConfig, webFolder: builtSite() })
    const pages = [await browser.get('/'), await browser.get('/people/anything')]
    const nonces = pages.map(({ body, headers }) => {
      const nonce = /content="([^"]+)"/.exec(body)?.[1] ?? ''
      expect(headers.get('content-security-policy')).toContain(`style-src 'self' 'nonce-${nonce}'`)
      expect(headers.get('content-security-policy')).toContain("script-src 'self';")
      return nonce
    })
    expect(nonces[0]).toMatch(/^[\w+/]{22}==$/)
    expect(nonces[0]).not.toBe(nonces[1])
  })

  it('keeps hashed files for ever, and does not answer for files that are not there with the page', async () => {
    const { browser } = await start({ ...testConfig, webFolder: builtSite() })
    const file = await browser.get('/assets/app-1a2b.js')
    expect(file.headers.get('cache-control')).toContain('immutable')
    expect((await browser.get('/assets/gone.js')).status).toBe(404)
    expect((await browser.get('/../package.json')).body).not.toContain('private')
  })

  it('says of addresses that its router does not know, and of files that are not there, that they are not', async () => {
    const { browser } = await start({ ...testConfig, webFolder: builtSite() })
    const statuses = async (...paths: string[]) =>
      Promise.all(paths.map(async (path) => (await browser.get(path)).status))
    expect(await statuses('/', '/people/anything', '/pages/x', '/pages/x/a-title')).toEqual([
      200, 200, 200, 200,
    ])
    expect(await statuses('/nowhere', '/pages/x/y/z', '/favicon.png')).toEqual([404, 404, 404])
    // Whoever goes there by hand still gets the page, which says so and leads on.
    expect((await browser.get('/nowhere')).body).toContain('csp-nonce')
    const posted = await browser.ask('POST', '/people')
    expect([posted.status, posted.headers.get('allow')]).toEqual([405, 'GET, HEAD'])
  })

  it('names the ways in which an address can be asked, and how one signs in', async () => {
    const { browser } = await start()
    const wrong = await browser.ask('PUT', '/api/session')
    expect([wrong.status, wrong.body.reason]).toEqual([405, 'not-allowed'])
    expect(wrong.headers.get('allow')).toBe('DELETE, GET, HEAD, POST')
    const out = await browser.get('/api/pages')
    expect([out.status, out.headers.get('www-authenticate')]).toEqual([
      401,
      'Cookie realm="Valise", cookie-name=valise',
    ])
    expect(out.body.title).toBe('Nobody is signed in')
    expect(out.body.detail).toMatch(/\.$/)
  })

  it('answers for unknown addresses of the API with a problem', async () => {
    const { browser } = await start()
    const answer = await browser.get('/api/nothing-here')
    expect(answer).toMatchObject({
      status: 404,
      body: { code: 'not-found', type: 'urn:valise:problem:not-found' },
    })
  })
})

describe('writes from elsewhere', () => {
  const write = async (headers: Record<string, string>) => {
    const { browser } = await start()
    return browser.post('/api/session', { signInName: 'wren', password: 'low water at seven' }, headers)
  }

  it.each([
    [{ origin: 'http://elsewhere.test' }],
    [{ origin: 'null' }],
    [{ 'sec-fetch-site': 'cross-site' }],
    [{ 'sec-fetch-site': 'same-site' }],
  ])('are refused: %j', async (headers) => {
    expect(await write(headers as Record<string, string>)).toMatchObject({
      status: 403,
      body: { reason: 'another-site' },
    })
  })

  it('are taken from our own site', async () => {
    expect((await write({ 'sec-fetch-site': 'same-origin' })).status).toBe(201)
  })

  it('are held against the configured address: a name that leads here brings its own Host header', async () => {
    const rebound = {
      origin: 'http://marsh.test:7400',
      host: 'marsh.test:7400',
      'sec-fetch-site': 'same-origin',
    }
    expect(await write(rebound)).toMatchObject({ status: 403, body: { reason: 'another-site' } })
  })

  it('are taken from any name of this machine, where it is reached on this machine alone', () => {
    const from = (origin: string) => new Request('http://x/', { method: 'POST', headers: { origin } })
    const local = 'http://localhost:7400'
    for (const origin of [local, 'http://127.0.0.1:7400', 'http://[::1]:7400'])
      expect(() => assertOwnSite(from(origin), local)).not.toThrow()
    for (const origin of [
      'http://127.0.0.1:7401',
      'https://localhost:7400',
      'http://localhost.test:7400',
      'x',
    ])
      expect(() => assertOwnSite(from(origin), local)).toThrow()
    expect(() => assertOwnSite(from(local), 'https://valise.marsh.test')).toThrow()
  })
})

describe('a disk that is full', () => {
  it('leaves reading open, and says so to every write', async () => {
    const { site, browser } = await start()
    await browser.signIn('wren')
    const { database } = site.services
    const full = () => Promise.reject(Object.assign(new Error('disk full'), { code: 'SQLITE_FULL' }))
    const writer = new Proxy(database.writer, {
      get: (target, name) => (name === 'transaction' ? full : Reflect.get(target, name)),
    })
    // Some minutes later, when it is noted that somebody was seen.
    const later = shiftedClock(addMinutes(database.clock.now(), 5))
    const present = database.reader()
    const reader = () => ({ ...present, now: later.now() })
    Object.assign(database, { writer, reader, clock: later })
    for (const path of ['/api/session', '/api/evidence', '/api/pages', '/api/today', '/api/news'])
      expect([path, (await browser.get(path)).status]).toEqual([path, 200])
    const refused = await browser.post('/api/pages', { title: 'Silt', lang: 'en' })
    expect(refused.headers.get('content-type')).toContain('application/problem+json')
    expect([refused.status, refused.body.reason]).toEqual([507, 'no-space'])
  })
})

describe('bad requests', () => {
  const post = async (body: unknown, headers = {}) => {
    const { browser } = await start()
    return browser.post('/api/session', body, headers)
  }

  it('that are no JSON, or of another kind, are told apart', async () => {
    expect(await post('{"signInName":')).toMatchObject({ status: 422, body: { reason: 'not-json' } })
    expect(await post('a=b', { 'content-type': 'text/plain' })).toMatchObject({ status: 415 })
    expect(await post('')).toMatchObject({ status: 422 })
  })

  it('that are too large are refused', async () => {
    expect(await post({ signInName: 'wren', password: 'x'.repeat(1_000_001) })).toMatchObject({ status: 413 })
  })

  it('with signs that no database keeps are refused', async () => {
    for (const signInName of ['nul\0', 'half \ud800']) {
      expect(await post(JSON.stringify({ signInName, password: 'p' }))).toMatchObject({
        status: 422,
        body: { reason: 'bad-text' },
      })
    }
  })

  it('with long or strange names get an answer, not a failure', async () => {
    expect((await post({ signInName: 'x'.repeat(201), password: 'p' })).body.errors).toEqual([
      { path: '/signInName', reason: 'too-long', params: { most: 200 } },
    ])
    expect((await post({ signInName: '🦀/../\u202eevil', password: 'p' })).status).toBe(401)
  })
})

describe('the description of the API', () => {
  it('names every route with its parameters, bodies, answers and refusals', async () => {
    const { browser } = await start()
    const { body } = await browser.get('/api/openapi.json')
    expect(body).toMatchObject({ openapi: '3.1.0', info: { version: VERSION } })
    const put = body.paths['/api/people/{id}'].put
    expect(put.parameters.map((one: { name: string; in: string }) => `${one.in} ${one.name}`)).toEqual([
      'path id',
      'header If-Match',
    ])
    expect(put.requestBody.content['application/json'].schema.additionalProperties).toBe(false)
    expect(put.responses.default).toEqual({ $ref: '#/components/responses/Problem' })
    expect(body.paths['/api/session'].get.security).toEqual([])
    expect(put.security).toEqual([{ session: [] }])
  })

  it('is made of schemas as JSON Schema 2020-12 has them, and names each operation once', async () => {
    const { browser } = await start()
    const { body } = await browser.get('/api/openapi.json')
    const ajv = new Ajv2020({ strict: false, validateFormats: false })
    const schemas: object[] = []
    const ids: string[] = []
    const walk = (value: unknown, key = '') => {
      if (typeof value !== 'object' || value === null) return
      if (key === 'schema') schemas.push(value)
      if (key === 'schemas') schemas.push(...Object.values(value))
      if ('operationId' in value) ids.push(String(value.operationId))
      for (const [name, one] of Object.entries(value)) walk(one, name)
    }
    walk(body)
    expect(schemas.length).toBeGreaterThan(200)
    expect(schemas.filter((schema) => !ajv.validateSchema(schema))).toEqual([])
    expect(JSON.stringify(body)).toContain('"prefixItems"')
    expect(JSON.stringify(body)).not.toMatch(/"items":\[/)
    expect(new Set(ids).size).toBe(ids.length)
    expect(Object.keys(body.paths['/api/uploads'])).toEqual(['get', 'post'])
    expect(Object.keys(body.paths['/api/uploads/{id}']).sort()).toEqual(['delete', 'get', 'head', 'patch'])
  })

  it('closes every object that comes in', async () => {
    const { browser } = await start()
    const { paths } = (await browser.get('/api/openapi.json')).body
    const open =
      JSON.stringify(paths).match(/\{"type":"object"(?![^{}]*"additionalProperties":false)[^{}]*\}/g) ?? []
    expect(open).toEqual([])
  })
})

describe('refusals', () => {
  it('have one status for each kind', () => {
    expect(Object.keys(statusOf).sort()).toEqual([...errorCodes].sort())
  })

  it('hide what broke behind one sentence, and give the number under which the log has it', async () => {
    const { site, browser } = await start()
    await site.services.database.close()
    const silenced = jest.spyOn(process.stderr, 'write').mockReturnValue(true)
    const answer = await browser.get('/api/school')
    silenced.mockRestore()
    expect(answer).toMatchObject({ status: 500, body: { code: 'unexpected', reason: 'unexpected' } })
    expect(JSON.stringify(answer.body)).not.toMatch(/sqlite|knex|pool/i)
    expect(answer.body.request).toMatch(/^[0-9a-f-]{36}$/)
  })

  it('are logged without values and without addresses', () => {
    const lines: string[] = []
    const write = jest.spyOn(process.stdout, 'write').mockImplementation((line) => {
      lines.push(String(line))
      return true
    })
    const cause = Object.assign(new Error("insert into people values ('Wren Adeyemi') - UNIQUE failed"), {
      code: 'X1',
      detail: 'Key (name)=(Wren)',
    })
    describeFailure(cause)
    write.mockRestore()
    expect(lines.join('')).not.toContain('Wren')

    function describeFailure(error: Error) {
      openLog('error').failed('r1', error)
    }
  })
})

function builtSite(): string {
  const folder = mkdtempSync(join(tmpdir(), 'valise-web-'))
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), '<meta name="csp-nonce" content="__NONCE__" />')
  writeFileSync(join(folder, 'assets/app-1a2b.js'), 'export {}')
  const paths = ['/people/:id', '/people', '/pages/:id/:slug?']
  writeFileSync(join(folder, 'paths.json'), JSON.stringify(paths))
  return folder
}
