import { shiftedClock } from '../system/index.ts'
import { inTransaction } from '../database/index.ts'
import {
  describeEachDatabase,
  insertSampleEvidence,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  TEST_START,
  upload,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { sweepBin } from '../bin/index.ts'
import { sweep } from './sweep.ts'

const DAY_MS = 86_400_000

describeEachDatabase('evidence', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    /** Brings in a file and waits until its renditions are made. */
    const add = async (name: string, content: Buffer, by: TestBrowser = wren) => {
      const { body } = await upload(by, { name, content })
      await site.services.jobs.drain()
      return body.outcome.evidenceId as string
    }
    return { site, school, as, wren, add }
  }
  const text = (words: string) => Buffer.from(words)

  onSqlite('knows of a picture what its camera wrote, and keeps that out of what is made of it', async () => {
    const { wren, add } = await start()
    const id = await add('quadrat_7_low_marsh.jpg', await makePicture({ camera: true, width: 2000 }))
    const { body: item } = await wren.get(`/api/evidence/${id}`)
    expect(item).toMatchObject({
      kind: 'picture',
      title: 'quadrat 7 low marsh',
      madeAt: '2026-11-17T09:14:00.000Z', // Lisbon in winter
      madeAtKnown: true,
      rights: { state: 'missing' },
      version: { n: 1, width: 2000, height: 480, preview: 'there', mime: 'image/jpeg' },
    })
    for (const [kind, width] of [
      ['thumbnail', 640],
      ['screen', 1600],
    ] as const) {
      const { status, headers, bytes } = await wren.get(`/api/evidence/${id}/versions/1/${kind}`)
      expect([status, headers.get('content-type')]).toEqual([200, 'image/webp'])
      const { default: sharp } = await import('sharp')
      const made = await sharp(bytes).metadata()
      expect([made.width, made.exif, made.xmp]).toEqual([width, undefined, undefined])
    }
  })

  it('is changed by its owner: title, tags and rights, each by itself', async () => {
    const { wren, add } = await start()
    const id = await add('tides.csv', text('hour,height\n7,0.4\n'))
    const first = await wren.patch(`/api/evidence/${id}`, { title: '  Tide \n table ' }, 2)
    expect(first.body).toMatchObject({ title: 'Tide table', kind: 'data-table', revision: 3 })
    const second = await wren.patch(`/api/evidence/${id}`, { tags: ['Transect', 'transect ', 'Weir'] }, 3)
    expect(second.body).toMatchObject({ title: 'Tide table', tags: ['Transect', 'Weir'] })
    const rights = { state: 'licensed', maker: 'Ada Reed', source: 'Tide office', licence: 'cc-by-4.0' }
    const third = await wren.patch(`/api/evidence/${id}`, { rights }, 4)
    expect(third.body).toMatchObject({ rights, rightsState: 'licensed', tags: ['Transect', 'Weir'] })
    expect((await wren.get('/api/evidence/tags')).body).toEqual([
      { tag: 'Transect', count: 1 },
      { tag: 'Weir', count: 1 },
    ])
  })

  onSqlite('refuses a change of what somebody changed meanwhile, and half a credit', async () => {
    const { wren, add } = await start()
    const id = await add('a.txt', text('a'))
    expect((await wren.patch(`/api/evidence/${id}`, { title: 'A' })).status).toBe(428)
    await wren.patch(`/api/evidence/${id}`, { title: 'A' }, 2)
    const late = await wren.patch(`/api/evidence/${id}`, { title: 'B' }, 2)
    expect([late.status, late.body.reason]).toEqual([412, 'stale'])
    const half = { state: 'licensed', maker: '  ', source: 'x', licence: 'cc0-1.0' }
    const refused = await wren.patch(`/api/evidence/${id}`, { rights: half }, 3)
    expect([refused.status, refused.body.errors[0]]).toEqual([
      422,
      { path: '/rights/maker', reason: 'missing' },
    ])
    expect((await wren.get(`/api/evidence/${id}`)).body).toMatchObject({
      title: 'A',
      rights: { state: 'missing' },
    })
  })

  it('declares the rights of many at once, of all or of none', async () => {
    const { wren, as, add } = await start()
    const mine = [await add('a.txt', text('a')), await add('b.txt', text('b'))]
    const tomasz = await as('tomasz')
    const foreign = await add('c.txt', text('c'), tomasz)
    const rights = { state: 'mine' }
    const refused = await wren.put('/api/evidence/rights', { ids: [...mine, foreign], rights })
    expect(refused.status).toBe(404)
    const states = async () =>
      (await wren.get('/api/evidence')).body.items.map((one: { rightsState: string }) => one.rightsState)
    expect(await states()).toEqual(['missing', 'missing'])
    expect((await wren.put('/api/evidence/rights', { ids: [...mine, mine[0]], rights })).status).toBe(204)
    expect(await states()).toEqual(['mine', 'mine'])
  })

  onSqlite('keeps every version, and makes an earlier one the newest again', async () => {
    const { site, wren, add } = await start()
    const blue = await makePicture({ colour: '#2a5468' })
    const id = await add('a.jpg', await makePicture())
    await upload(wren, { name: 'better.jpg', content: blue, replaces: id })
    await site.services.jobs.drain()
    const two = (await wren.get(`/api/evidence/${id}`)).body
    expect(two.versions.map((one: { n: number; fileName: string }) => [one.n, one.fileName])).toEqual([
      [2, 'better.jpg'],
      [1, 'a.jpg'],
    ])
    const three = await wren.ask(
      'POST',
      `/api/evidence/${id}/versions`,
      { from: 1 },
      {
        'if-match': `"r${two.revision}"`,
      },
    )
    expect(three.body.version).toMatchObject({ n: 3, fileName: 'a.jpg', preview: 'making' })
    await site.services.jobs.drain()
    expect((await wren.get(`/api/evidence/${id}/versions/3/thumbnail`)).status).toBe(200)
    expect((await wren.get(`/api/evidence/${id}/versions/2/file`)).bytes).toEqual(blue)
    const absent = await wren.ask('POST', `/api/evidence/${id}/versions`, { from: 9 }, { 'if-match': '"r9"' })
    expect(absent.body.reason).toBe('no-such-version')
  })

  onSqlite(
    'hands a file out as it came, or the part that is asked for, so that nothing in it runs',
    async () => {
      const { wren, add } = await start()
      const page = text('<script>alert(1)</script>')
      const id = await add('p\u202eage "1" 🌾.html', page)
      const path = `/api/evidence/${id}/versions/1/file`
      const whole = await wren.get(path)
      expect(whole.bytes).toEqual(page)
      expect(whole.headers.get('content-disposition')).toMatch(/^attachment; .*filename\*=UTF-8''p%20age%20/)
      expect(whole.headers.get('content-security-policy')).toMatch(/^sandbox; default-src 'none'/)
      expect(whole.headers.get('x-content-type-options')).toBe('nosniff')
      expect(whole.headers.get('cache-control')).toContain('no-store')
      const range = (range: string) => wren.ask('GET', path, undefined, { range })
      const middle = await range('bytes=1-6')
      expect([middle.status, middle.headers.get('content-range'), middle.body]).toEqual([
        206,
        'bytes 1-6/25',
        'script',
      ])
      expect((await range('bytes=-3')).body).toBe('pt>')
      expect((await range('bytes=22-')).body).toBe('pt>')
      expect((await range('bytes=25-')).status).toBe(416)
      expect((await range('bytes=9-2')).status).toBe(200)
      const head = await wren.ask('HEAD', path)
      expect([head.status, head.bytes.length, head.headers.get('content-length')]).toEqual([200, 0, '25'])
    },
  )

  onSqlite('is seen by its owner alone, as if it were not there', async () => {
    const { as, wren, add, site } = await start()
    const id = await add('a.jpg', await makePicture())
    await wren.put(`/api/things/${id}/bin`, {})
    const before = await site.services.database.reader().sql('evidence')
    for (const name of ['tomasz', 'odalys', 'mireille']) {
      const other = await as(name)
      for (const [method, path, body] of [
        ['GET', `/api/evidence/${id}`],
        ['PATCH', `/api/evidence/${id}`, { title: 'Mine now' }],
        ['DELETE', `/api/things/${id}`],
        ['POST', `/api/evidence/${id}/versions`, { from: 1 }],
        ['GET', `/api/evidence/${id}/versions/1/file`],
        ['GET', `/api/evidence/${id}/versions/1/thumbnail`],
        ['PUT', `/api/things/${id}/bin`],
        ['DELETE', `/api/things/${id}/bin`],
        ['PUT', `/api/tray/${id}`],
        ['DELETE', `/api/tray/${id}`],
      ] as const) {
        const { status } = await other.ask(method, path, body, { 'if-match': '"r2"' })
        expect([name, method, path, status]).toEqual([name, method, path, 404])
      }
      for (const list of ['/api/evidence', '/api/bin']) expect((await other.get(list)).body.count).toBe(0)
    }
    expect(await site.services.database.reader().sql('evidence')).toEqual(before)
  })

  onSqlite('lists what was made last first, page by page', async () => {
    const { wren, add } = await start()
    for (const name of ['ant', 'bee', 'crab', 'dunlin', 'eel']) await add(`${name}.txt`, text(name))
    const old = await add('photo.jpg', await makePicture({ camera: true }))
    const whole = (await wren.get('/api/evidence')).body
    expect(whole.count).toBe(6)
    expect(whole.items.map((one: { title: string }) => one.title)).toEqual([
      'eel',
      'dunlin',
      'crab',
      'bee',
      'ant',
      '',
    ])
    expect(whole.items.at(-1).id).toBe(old)
    const first = (await wren.get('/api/evidence?limit=4')).body
    const second = (await wren.get(`/api/evidence?limit=4&cursor=${first.next}`)).body
    expect([...first.items, ...second.items]).toEqual(whole.items)
    expect(second.next).toBeNull()
  })

  it('lies in the tray as soon as it is here, and in the order of picking up, until it is taken out', async () => {
    const { wren, add } = await start()
    const [a, b] = [await add('a.txt', text('a')), await add('b.txt', text('b'))]
    const tray = async () => (await wren.get('/api/tray')).body.map((one: { id: string }) => one.id)
    expect(await tray()).toEqual([a, b])
    for (const id of [a, b]) await wren.delete(`/api/tray/${id}`)
    for (const id of [b, a, b]) expect((await wren.put(`/api/tray/${id}`, {})).status).toBe(204)
    expect(await tray()).toEqual([b, a])
    expect((await wren.get(`/api/evidence/${a}`)).body.inTray).toBe(true)
    await wren.put(`/api/things/${b}/bin`, {})
    expect(await tray()).toEqual([a])
    expect((await wren.put(`/api/tray/${b}`, {})).body.reason).toBe('in-the-bin')
    await wren.delete(`/api/things/${b}/bin`)
    expect(await tray()).toEqual([b, a]) // it comes back to its place
    await wren.delete(`/api/tray/${a}`)
    await wren.delete(`/api/tray/${a}`)
    expect(await tray()).toEqual([b])
  })

  onSqlite('is full at a hundred', async () => {
    const { site, wren, school } = await start()
    const { people } = school
    const ids: string[] = []
    await inTransaction(site.services.database, async (trx) => {
      for (let n = 0; n < 101; n += 1) ids.push(await insertSampleEvidence(trx, people.wren, n * 63))
    })
    const { sql } = site.services.database.reader()
    for (const id of ids) {
      const { status, body } = await wren.put(`/api/tray/${id}`, {})
      if (id === ids.at(-1)) expect([status, body.reason, body.params.most]).toEqual([409, 'tray-full', 100])
      else expect(status).toBe(204)
    }
    expect(await sql('trayItems').where({ personId: people.wren })).toHaveLength(100)
  })

  it('stays thirty days in the bin, unless its owner removes it, and its bytes two days more', async () => {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    const ids: string[] = []
    for (const [name, colour] of Object.entries({ live: '#111', binned: '#888', removed: '#eee' })) {
      const { body } = await upload(wren, {
        name: `${name}.jpg`,
        content: await makePicture({ colour }),
      })
      ids.push(body.outcome.evidenceId)
    }
    await site.services.jobs.drain()
    const [, binned, removed] = ids
    expect((await wren.delete(`/api/things/${removed}`)).body.reason).toBe('not-in-bin')
    for (const id of [binned, removed]) await wren.put(`/api/things/${id}/bin`, {})
    expect((await wren.patch(`/api/evidence/${binned}`, { title: 'x' }, 3)).body.reason).toBe('in-the-bin')
    expect((await wren.get('/api/bin')).body.items.map((one: { id: string }) => one.id)).toEqual([
      removed,
      binned,
    ])
    expect((await wren.delete(`/api/things/${removed}`)).status).toBe(204)
    const left = async () =>
      (await site.services.database.reader().sql('evidence').where({ ownerId: school.people.wren })).length
    const sweepAt = async (days: number) => {
      const clock = shiftedClock(new Date(Date.parse(TEST_START) + days * DAY_MS).toISOString())
      const later = {
        ...site.services.database,
        clock,
        reader: () => ({ ...site.services.database.reader(), now: clock.now() }),
      }
      await sweepBin({ ...site.services, database: later })
      await sweep({ ...site.services, database: later })
    }
    let day = 0
    const sweepAfter = async (days: number) => {
      for (; day <= days; day += 1) await sweepAt(day)
    }
    const fileRows = async () => (await site.services.database.reader().sql('files')).length
    await sweepAfter(29)
    expect([await left(), await fileRows()]).toEqual([2, 6]) // the removed item's went
    // A clock that jumps empties no bin, and goes on to count where it is put right again.
    await sweepAt(400)
    expect(await left()).toBe(2)
    await sweepAfter(32)
    expect([await left(), await fileRows()]).toEqual([1, 6]) // the binned one's are loose now
    await sweepAfter(35)
    expect(await fileRows()).toBe(3)
    expect((await wren.get(`/api/evidence/${ids[0]}/versions/1/file`)).status).toBe(200)
  })
})
