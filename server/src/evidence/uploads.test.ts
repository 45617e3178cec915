import { rmSync, symlinkSync } from 'node:fs'
import { join } from 'node:path'
import { AppError } from '@valise/core/problems'
import { shiftedClock } from '../system/index.ts'
import { ProcessBurst } from '../jobs/index.ts'
import {
  beginUpload,
  BYTES,
  describeEachDatabase,
  makePicture,
  makePictureBomb,
  makeSmallSchool,
  makeTestSite,
  openTestSqlite,
  testConfig,
  TEST_START,
  TUS,
  upload,
} from '../testing/index.ts'
import { sweep } from './sweep.ts'

const MB = 1_048_576

describeEachDatabase('uploads', (open, onSqlite) => {
  async function start(config = testConfig) {
    const site = makeTestSite(await open(), [], config)
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    return { site, school, as, wren: await as('wren') }
  }
  const content = Buffer.from('low water at seven, high water at one')
  const file = { name: 'tides.txt', content, lastModified: 1_764_000_000_000 }

  onSqlite('go on where they stopped, from any window, and become evidence once', async () => {
    const { wren, as } = await start()
    const begun = await beginUpload(wren, file)
    const address = begun.headers.get('location') ?? ''
    expect(begun.status).toBe(201)
    const patch = (offset: number, chunk: Buffer, by = wren) =>
      by.ask('PATCH', address, chunk, { ...BYTES, 'upload-offset': String(offset) })
    expect((await patch(0, content.subarray(0, 10))).headers.get('upload-offset')).toBe('10')
    const elsewhere = await as('wren')
    const { open: waiting } = (await elsewhere.get('/api/uploads')).body
    expect(waiting).toMatchObject([{ fileName: 'tides.txt', received: 10, lastModified: file.lastModified }])
    expect((await patch(0, content, elsewhere)).status).toBe(409) // a part that was sent twice
    const head = await elsewhere.ask('HEAD', address, undefined, TUS)
    expect([head.headers.get('upload-offset'), head.headers.get('upload-length')]).toEqual(['10', '37'])
    expect((await patch(10, content.subarray(10), elsewhere)).status).toBe(204)
    expect((await patch(10, content.subarray(10), elsewhere)).status).toBe(409)
    const { body } = await wren.get(address)
    expect(body.outcome).toMatchObject({ kind: 'new', title: 'tides' })
    expect((await wren.get('/api/evidence')).body.count).toBe(1)
    expect((await wren.get('/api/uploads')).body.open).toEqual([])
    const after = await wren.ask('HEAD', address, undefined, TUS)
    expect(after.headers.get('upload-offset')).toBe('37') // whoever missed the last answer learns it here
  })

  onSqlite(
    'are finished by asking, where the server stopped between the last byte and its answer',
    async () => {
      const { site, wren } = await start()
      const address = (await beginUpload(wren, file)).headers.get('location') ?? ''
      const id = address.split('/').at(-1) ?? ''
      await site.services.files.incoming.append(id, 0, [content] as never)
      expect((await wren.get(address)).body).toMatchObject({ received: 37, outcome: null })
      await wren.ask('HEAD', address, undefined, TUS)
      expect((await wren.get(address)).body.outcome).toMatchObject({ kind: 'new', evidenceId: id })
    },
  )

  it('become one item, however many ask at once whether it is finished', async () => {
    const { site, wren } = await start()
    const address = (await beginUpload(wren, file)).headers.get('location') ?? ''
    const id = address.split('/').at(-1) ?? ''
    await site.services.files.incoming.append(id, 0, [content] as never)
    const asked = await Promise.all([1, 2, 3].map(() => wren.ask('HEAD', address, undefined, TUS)))
    expect(asked.map(({ status }) => status)).toEqual([200, 200, 200])
    expect((await wren.get('/api/evidence')).body.count).toBe(1)
    expect((await wren.get(address)).body.outcome.evidenceId).toBe(id)
  })

  onSqlite('are kept as they came when they cannot even be looked at, and looked at later', async () => {
    const { site, wren } = await start()
    const failed: unknown[] = []
    const { workers } = site.services
    Object.assign(site.services, {
      workers: { run: () => Promise.reject(new AppError('busy', 'busy')) },
      log: { answered: () => undefined, failed: (_: string, error: unknown) => failed.push(error) },
    })
    const { body } = await upload(wren, { name: 'odd.jpg', content: await makePicture() })
    expect(body.outcome).toMatchObject({ kind: 'new', title: 'odd' })
    expect((await wren.get(`/api/evidence/${body.id}`)).body).toMatchObject({
      kind: 'file',
      version: { mime: 'application/octet-stream', preview: 'none' },
    })
    expect(failed).toHaveLength(1)
    Object.assign(site.services, { workers })
    await site.services.jobs.drain()
    expect((await wren.get(`/api/evidence/${body.id}`)).body).toMatchObject({
      kind: 'picture',
      version: { mime: 'image/jpeg', preview: 'there' },
    })
  })

  onSqlite('that outgrow what may be spent on them are kept as they came, at once and for good', async () => {
    const { site, wren } = await start()
    const { workers } = site.services
    const burst = () => Promise.reject(new ProcessBurst('examine ended: SIGKILL'))
    Object.assign(site.services, {
      workers: { run: burst },
      log: { answered: () => undefined, failed: () => undefined },
    })
    const { body: odd } = await upload(wren, { name: 'odd.jpg', content: await makePicture() })
    Object.assign(site.services, { workers })
    const { body: large } = await upload(wren, {
      name: 'large.jpg',
      content: await makePicture({ colour: '#123456' }),
    })
    Object.assign(site.services, { workers: { run: burst } })
    await expect(site.services.jobs.drain()).rejects.toBeInstanceOf(ProcessBurst)
    const jobs = await site.services.database.reader().sql('jobs')
    expect(jobs).toMatchObject([{ attempts: 1, failedAt: expect.any(String) }])
    const versionOf = async (id: string) => (await wren.get(`/api/evidence/${id}`)).body.version
    expect(await versionOf(odd.id)).toMatchObject({ mime: 'application/octet-stream' })
    expect(await versionOf(large.id)).toMatchObject({ preview: 'none', previewProblem: 'picture-too-large' })
  })

  onSqlite('are answered with problem details on a full disk, and go on where they were', async () => {
    const { site, wren } = await start()
    const begun = await beginUpload(wren, file)
    const address = begun.headers.get('location') ?? ''
    const full = join(site.services.config.dataFolder, 'files/incoming', address.split('/').at(-1) ?? '')
    symlinkSync('/dev/full', full)
    const patch = () => wren.ask('PATCH', address, content, { ...BYTES, 'upload-offset': '0' })
    const refused = await patch()
    expect([refused.status, refused.body.reason]).toEqual([507, 'no-space'])
    expect(refused.headers.get('content-type')).toContain('application/problem+json')
    rmSync(full)
    expect((await patch()).status).toBe(204)
  })

  onSqlite('belong to whoever began them, with every verb', async () => {
    const { wren, as } = await start()
    const address = (await beginUpload(wren, file)).headers.get('location') ?? ''
    const others = [await as('tomasz'), await as('mireille')]
    for (const other of others) {
      expect((await other.get(address)).status).toBe(404)
      expect((await other.ask('HEAD', address, undefined, TUS)).status).toBe(404)
      const sent = await other.ask('PATCH', address, content, { ...BYTES, 'upload-offset': '0' })
      expect([sent.status, sent.body.reason]).toEqual([404, 'not-found'])
      expect((await other.ask('DELETE', address, undefined, TUS)).status).toBe(404)
      expect((await other.get('/api/uploads')).body.open).toEqual([])
    }
    wren.cookie = ''
    expect((await beginUpload(wren, file)).status).toBe(401)
    expect((await wren.ask('HEAD', address, undefined, TUS)).status).toBe(401)
  })

  it('can be given up, and are forgotten after three days with their bytes', async () => {
    const { site, wren } = await start()
    const { services } = site
    const waiting = async () => {
      const ids: string[] = []
      for await (const id of services.files.incoming.list()) ids.push(id)
      return ids.length
    }
    for (const chunk of ['one', 'two']) {
      const address = (await beginUpload(wren, file)).headers.get('location') ?? ''
      await wren.ask('PATCH', address, Buffer.from(chunk), { ...BYTES, 'upload-offset': '0' })
      if (chunk === 'one') expect((await wren.ask('DELETE', address, undefined, TUS)).status).toBe(204)
    }
    expect(await waiting()).toBe(1)
    let hour = 0
    const sweepAfter = async (hours: number) => {
      for (; hour <= hours; hour += 1) {
        const clock = shiftedClock(new Date(Date.parse(TEST_START) + hour * 3_600_000).toISOString())
        await sweep({ ...services, database: { ...services.database, clock } })
      }
    }
    await sweepAfter(71)
    expect(await waiting()).toBe(1)
    await sweepAfter(73)
    expect([await waiting(), (await wren.get('/api/uploads')).body.open]).toEqual([0, []])
  })

  onSqlite('open no door to other sites', async () => {
    const { wren } = await start()
    const { headers } = await beginUpload(wren, file)
    expect([...headers.keys()].filter((name) => name.startsWith('access-control'))).toEqual([])
    expect(headers.get('location')).toMatch(/^\/api\/uploads\/[0-9a-f-]{36}$/)
    const foreign = await wren.ask('POST', '/api/uploads', undefined, {
      ...TUS,
      origin: 'https://elsewhere.example',
      'upload-length': '1',
    })
    expect([foreign.status, foreign.body.reason]).toEqual([403, 'another-site'])
  })

  onSqlite('name in one sentence what is wrong with them', async () => {
    const { wren } = await start({ ...testConfig, largestFile: 2 * MB, quota: 3 * MB })
    const reason = async (name: string, bytes: Buffer) => {
      const { status, body } = await upload(wren, { name, content: bytes })
      return [status, body.reason, body.params]
    }
    expect(await reason('empty.txt', Buffer.alloc(0))).toEqual([422, 'file-empty', {}])
    expect(await reason('big.bin', Buffer.alloc(2 * MB + 1))).toEqual([413, 'file-too-large', { most: 2 }])
    expect((await upload(wren, { name: 'ok.bin', content: Buffer.alloc(2 * MB, 1) })).status).toBe(200)
    expect(await reason('more.bin', Buffer.alloc(1.5 * MB, 2))).toEqual([507, 'quota-full', { left: 1 }])
    expect((await upload(wren, { name: '', content })).status).toBe(422)
    expect((await wren.get('/api/evidence')).body.count).toBe(1)
  })

  onSqlite('keep nothing half when the disk is full', async () => {
    const { site, wren } = await start()
    site.services.files.freeBytes = async () => 1000
    const refused = await beginUpload(wren, file)
    expect([refused.status, refused.body.reason]).toEqual([507, 'no-space'])
    expect((await wren.get('/api/uploads')).body.open).toEqual([])
  })

  onSqlite('tell a file that one has already from a new one, and only among one’s own', async () => {
    const { wren, as } = await start()
    const first = (await upload(wren, file)).body.outcome
    const again = (await upload(wren, { ...file, name: 'again.txt' })).body.outcome
    expect(again).toEqual({ kind: 'same', evidenceId: first.evidenceId, title: 'tides' })
    expect((await upload(await as('tomasz'), file)).body.outcome.kind).toBe('new')
    await wren.put(`/api/things/${first.evidenceId}/bin`, {})
    expect((await upload(wren, file)).body.outcome.kind).toBe('new')
  })

  it('replace only a file of the same kind of one’s own', async () => {
    const { wren, as, site } = await start()
    const id = (await upload(wren, file)).body.outcome.evidenceId
    const picture = await upload(wren, { name: 'a.jpg', content: await makePicture(), replaces: id })
    expect([picture.status, picture.body.reason]).toEqual([409, 'other-kind'])
    expect((await wren.get('/api/uploads')).body.open).toEqual([])
    const foreign = await upload(await as('tomasz'), { ...file, replaces: id })
    expect(foreign.status).toBe(404)
    const next = await upload(wren, { name: 'tides2.txt', content: Buffer.from('new'), replaces: id })
    expect(next.body.outcome).toMatchObject({ kind: 'version', evidenceId: id, title: 'tides' })
    expect(await site.services.database.reader().sql('uploads').whereNull('outcome')).toEqual([])
  })
})

describe('files of every sort', () => {
  async function start() {
    const site = makeTestSite(await openTestSqlite())
    await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    return async (name: string, content: Buffer) => {
      const { body } = await upload(wren, { name, content })
      await site.services.jobs.drain()
      return (await wren.get(`/api/evidence/${body.outcome.evidenceId}`)).body
    }
  }

  it('are known by their content, never by what their name says', async () => {
    const save = await start()
    const pdf = Buffer.from('%PDF-1.4\n1 0 obj\n<<>>\nendobj\n')
    expect(await save('photo.jpg', pdf)).toMatchObject({ kind: 'file', version: { mime: 'application/pdf' } })
    const picture = await makePicture()
    expect(await save('notes.pdf', picture)).toMatchObject({ kind: 'picture', version: { preview: 'there' } })
    const svg = Buffer.from('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script/></svg>')
    expect(await save('drawing.svg', svg)).toMatchObject({ kind: 'file', version: { preview: 'none' } })
    expect(await save('t.csv', Buffer.from('á,b\n1,2'))).toMatchObject({ kind: 'data-table' })
    expect(await save('old.txt', Buffer.from('mare\xe9', 'latin1'))).toMatchObject({
      kind: 'file',
      version: { mime: 'text/plain' },
    })
    expect(await save('t2.csv', Buffer.from([0, 1, 2, 3]))).toMatchObject({
      version: { mime: 'application/octet-stream' },
    })
  })

  it('are kept as they came where they cannot be shown, and say why', async () => {
    const save = await start()
    expect(await save('bomb.png', makePictureBomb())).toMatchObject({
      kind: 'picture',
      version: { width: 60_000, height: 60_000, preview: 'none', previewProblem: 'picture-too-large' },
    })
    const whole = await makePicture({ width: 1200, height: 900 })
    expect(await save('cut.jpg', whole.subarray(0, whole.length / 2))).toMatchObject({
      kind: 'picture',
      version: { preview: 'none', previewProblem: 'picture-damaged' },
    })
    expect(await save('head.jpg', whole.subarray(0, 60))).toMatchObject({
      version: { preview: 'none', previewProblem: 'picture-damaged' },
    })
  })

  it('carry any name, tidied', async () => {
    const save = await start()
    const nameOf = async (name: string) => (await save(name, Buffer.from(name))).version.fileName
    expect(await nameOf('../../etc/passwd')).toBe('passwd')
    expect(await nameOf('🌾 مستنقع.txt')).toBe('🌾 مستنقع.txt')
    expect(await nameOf('invoice\u202efdp.exe')).toBe('invoice fdp.exe')
    expect([...(await nameOf(`${'x'.repeat(900)}.txt`))]).toHaveLength(200)
  })
})
