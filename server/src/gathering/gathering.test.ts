// The ways in beside uploads, over the API, with services outside that the test holds in its hand.
import { newEvidencePiece, textOf } from '@valise/core/pages'
import { toInstant } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import { ServiceRefusal } from '../outside/index.ts'
import type { Drive, Shelf } from '../outside/index.ts'
import {
  describeEachDatabase,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  TEST_START,
  testConfig,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { followDocument } from './driveService.ts'

const MINUTE = 60_000

describeEachDatabase('gathering', (open, onSqlite) => {
  async function start() {
    const document = {
      id: 'log',
      name: 'Crew log.txt',
      mime: 'text/plain',
      text: 'Visit 1',
      revision: '1',
      isShut: false,
      changedAt: '2026-11-20T08:00:00.000Z',
    }
    const described = () => {
      if (document.isShut) throw new ServiceRefusal(403)
      const { text, isShut: _, ...rest } = document
      return { ...rest, bytes: text.length }
    }
    const seenBy: string[] = []
    const drive: Drive = {
      folder: async (person, id) => {
        seenBy.push(person)
        if (id === 'closed') throw new ServiceRefusal(403)
        return { id, name: 'Top', above: [], folders: [], documents: [described()] }
      },
      document: async (_person, id) => {
        if (id !== 'log') throw new ServiceRefusal(404)
        return described()
      },
      content: async () => {
        described()
        return new Response(document.text)
      },
    }
    const picture = await makePicture({ colour: '#456' })
    const reports: string[] = []
    const reaches: string[] = []
    const crab = {
      id: 'crab',
      title: 'Shore crab',
      maker: 'Ada Reed',
      source: 'https://shelf.example/crab',
      licence: 'cc-by-4.0' as const,
      shows: 'A crab on sand',
      width: 640,
      height: 480,
    }
    const shelf: Shelf = {
      search: async (_words, reach) => {
        reaches.push(reach)
        return { pictures: [crab] }
      },
      picture: async (id) => {
        if (id !== 'crab') throw new ServiceRefusal(404)
        return crab
      },
      file: async () => new Response(new Uint8Array(picture), { headers: { 'content-type': 'image/jpeg' } }),
      report: async (id, words) => void reports.push(`${id}: ${words}`),
    }
    const clock = { shift: 0 }
    const running = shiftedClock(TEST_START)
    const database = await open({
      clock: { now: () => toInstant(Date.parse(running.now()) + clock.shift) },
    })
    const config = { ...testConfig, innerOrigins: [] }
    const site = makeTestSite(database, [], config, { drive, shelf })
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const wait = (minutes: number) => (clock.shift += minutes * MINUTE)
    return { site, school, as, wren, wait, document, reports, reaches, seenBy }
  }

  describe('notes', () => {
    const begin = (wren: TestBrowser, ...lines: string[]) =>
      wren.post('/api/notes', { text: textOf(...lines), landing: {} })

    onSqlite(
      'are evidence made by their writer, named by their first words, found by all of them',
      async () => {
        const { wren } = await start()
        const { body } = await begin(wren, 'The bank held', 'through two storms')
        expect(body).toMatchObject({
          kind: 'note',
          title: 'The bank held',
          rights: { state: 'mine' },
          inTray: true,
        })
        expect((await wren.get('/api/evidence?words=storms')).body.count).toBe(1)
        const file = await wren.get(`/api/evidence/${body.id}/versions/1/file`)
        expect(file.body).toContain('<p>The bank held</p>')
        expect(file.headers.get('content-disposition')).toContain('attachment')
        // Another one with the same words is another one.
        expect((await begin(wren, 'The bank held', 'through two storms')).body.id).not.toBe(body.id)
      },
    )

    it('stay one version while they are written together, and begin another one later', async () => {
      const { wren, wait } = await start()
      const { id, revision } = (await begin(wren, 'One')).body
      const write = (text: string, at: number) => wren.put(`/api/notes/${id}`, { text: textOf(text) }, at)
      const second = (await write('One, two', revision)).body
      expect((await write('Lost?', revision)).status).toBe(412)
      wait(90)
      await write('One, two, three', second.revision)
      const { versions } = (await wren.get(`/api/evidence/${id}`)).body
      expect(versions.map(({ n }: { n: number }) => n)).toEqual([2, 1])
      await wren.post(
        `/api/evidence/${id}/versions`,
        { from: 1 },
        { 'if-match': `"r${second.revision + 1}"` },
      )
      expect((await wren.get(`/api/notes/${id}`)).body.text).toEqual(textOf('One, two'))
      expect((await wren.get('/api/evidence?words=three')).body.count).toBe(0)
    })

    onSqlite('begin another version once others were given the one before', async () => {
      const { wren } = await start()
      const { id, revision } = (await begin(wren, 'One')).body
      const page = (await wren.post('/api/pages', { title: 'Note', lang: 'en' })).body.id
      const piece = newEvidencePiece('n', { id, kind: 'note' })
      const row = { id: 'row-n', pieces: [piece] }
      const operations = [{ op: 'insert-row' as const, row, after: null }]
      await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
      await wren.ask('POST', `/api/pages/${page}/published`, undefined, { 'if-match': '"r2"' })
      const before = (await wren.get(`/api/evidence/${id}/versions/1/file`)).body
      const write = (text: string, at: number) => wren.put(`/api/notes/${id}`, { text: textOf(text) }, at)
      const second = (await write('One, two', revision)).body
      await write('One, two, three', second.revision)
      // What was published stays; what is written after it is one version again.
      const { versions } = (await wren.get(`/api/evidence/${id}`)).body
      expect(versions.map(({ n }: { n: number }) => n)).toEqual([2, 1])
      expect((await wren.get(`/api/evidence/${id}/versions/1/file`)).body).toBe(before)
    })

    onSqlite('hold nothing but words, lists, tables and links', async () => {
      const { wren } = await start()
      const script = { type: 'doc', content: [{ type: 'script', content: [{ type: 'text', text: 'x' }] }] }
      expect((await wren.post('/api/notes', { text: script, landing: {} })).body.reason).toBe(
        'text-not-allowed',
      )
      const cell = { type: 'tableCell', content: textOf('4.6').content }
      const table = {
        type: 'doc',
        content: [{ type: 'table', content: [{ type: 'tableRow', content: [cell] }] }],
      }
      const { id } = (await wren.post('/api/notes', { text: table, landing: {} })).body
      expect((await wren.get(`/api/evidence/${id}/versions/1/file`)).body).toContain('<td><p>4.6</p></td>')
    })
  })

  describe('the shared drive', () => {
    const take = (wren: TestBrowser, how: string) =>
      wren.post('/api/drive/documents', { documentId: 'log', how, landing: {} })

    onSqlite('is looked through with the eyes of whoever asks', async () => {
      const { wren, seenBy } = await start()
      expect((await wren.get('/api/drive/folders')).body.documents).toHaveLength(1)
      expect(seenBy).toEqual(['wren'])
      expect((await wren.get('/api/drive/folders/closed')).body.reason).toBe('drive-not-open')
    })

    it('brings one version in, however many look at the same moment', async () => {
      const { site, wren, document } = await start()
      const { id } = (await take(wren, 'connected')).body
      document.text = 'Visit 1\nVisit 2, glasswort'
      document.revision = '2'
      await Promise.all([1, 2, 3].map(() => followDocument(site.services, id)))
      expect((await wren.get(`/api/evidence/${id}`)).body.versions).toHaveLength(2)
    })

    it('gives a copy that stays as it is, and a connected item that follows its document', async () => {
      const { site, wren, document } = await start()
      const copy = (await take(wren, 'copy')).body
      const connected = (await take(wren, 'connected')).body
      expect((await take(wren, 'connected')).body.id).toBe(connected.id)
      document.text = 'Visit 1\nVisit 2, glasswort'
      document.revision = '2'
      expect(await followDocument(site.services, copy.id)).toBeUndefined()
      // The clock of a test begins at a set time and then goes on.
      expect(await followDocument(site.services, connected.id)).toMatch(/^2026-11-26T10:52:/)
      await site.services.jobs.drain()
      expect((await wren.get(`/api/evidence/${copy.id}`)).body.versions).toHaveLength(1)
      const { body } = await wren.get(`/api/evidence/${connected.id}`)
      expect([body.versions.length, body.drive.isConnected, body.drive.lostAt]).toEqual([2, true, null])
      expect((await wren.get('/api/evidence?words=glasswort')).body.items[0].id).toBe(connected.id)
    })

    it('tells of lost access, keeps the last version, and goes on when access comes back', async () => {
      const { wren, wait, document } = await start()
      const { id } = (await take(wren, 'connected')).body
      document.isShut = true
      wait(5)
      const lost = (await wren.post(`/api/evidence/${id}/drive/check`)).body
      expect(lost.drive.lostAt).toContain('2026-11-26T10:47')
      wait(5)
      expect((await wren.post(`/api/evidence/${id}/drive/check`)).body.drive.lostAt).toBe(lost.drive.lostAt)
      expect((await wren.get(`/api/evidence/${id}/versions/1/file`)).body).toBe('Visit 1')
      document.isShut = false
      expect((await wren.post(`/api/evidence/${id}/drive/check`)).body.drive.lostAt).toBeNull()
      expect((await wren.delete(`/api/evidence/${id}/drive`)).body.drive.isConnected).toBe(false)
      expect((await wren.post(`/api/evidence/${id}/drive/check`)).status).toBe(404)
    })
  })

  describe('the picture shelf', () => {
    it('brings maker, source, licence and words along by itself', async () => {
      const { site, wren } = await start()
      const { body } = await wren.post('/api/picture-shelf/taken', { pictureId: 'crab', landing: {} })
      await site.services.jobs.drain()
      expect(body).toMatchObject({
        title: 'Shore crab',
        alternativeText: 'A crab on sand',
        rights: {
          state: 'licensed',
          maker: 'Ada Reed',
          source: 'https://shelf.example/crab',
          licence: 'cc-by-4.0',
        },
      })
      expect((await wren.get('/api/picture-shelf/crab/small')).headers.get('content-type')).toBe('image/jpeg')
    })

    it('shows the youngest what is fit for them, and nobody what they reported', async () => {
      const { as, wren, reports, reaches } = await start()
      const kit = await as('kit')
      await wren.get('/api/picture-shelf?words=crab')
      expect((await kit.get('/api/picture-shelf?words=crab')).body.pictures).toHaveLength(1)
      expect(reaches).toEqual(['all', 'young'])
      expect((await kit.post('/api/picture-shelf/crab/reports', { words: 'It is hurt' })).status).toBe(204)
      expect((await kit.get('/api/picture-shelf?words=crab')).body.pictures).toEqual([])
      expect((await wren.get('/api/picture-shelf?words=crab')).body.pictures).toHaveLength(1)
      expect(reports).toEqual(['crab: It is hurt'])
      const records = (await (await as('mireille')).get('/api/records?action=picture-reported')).body.items
      expect(records[0].changes).toEqual({ picture: [null, 'Shore crab'] })
    })
  })

  describe('links', () => {
    onSqlite(
      'are refused where they lead inside, or are no addresses, and told before they are kept',
      async () => {
        const { wren } = await start()
        const preview = async (address: string) => (await wren.post('/api/links/preview', { address })).body
        expect((await preview('http://169.254.169.254/latest')).reason).toBe('link-unsafe')
        expect((await preview('javascript:alert(1)')).reason).toBe('link-unsafe')
        expect((await preview('not an address')).reason).toBe('link-unreadable')
        const saved = await wren.post('/api/links', { address: 'http://10.0.0.1/', landing: {} })
        expect([saved.status, saved.body.reason]).toEqual([422, 'link-unsafe'])
        expect((await wren.get('/api/evidence')).body.count).toBe(0)
      },
    )
  })

  describe('a phone that lends its camera', () => {
    /** Something that was taken then and there, unless it is said to have been chosen. */
    const sendFrom = async (phone: TestBrowser, name: string, mine = '&mine=yes') => {
      const content = await makePicture({ colour: '#804020' })
      return phone.ask('POST', `/api/phone/files?name=${name}${mine}`, content, {
        'content-type': 'application/octet-stream',
        'content-length': String(content.length),
      })
    }
    const lend = async (wren: TestBrowser, landing: object = {}) => {
      const { body } = await wren.post('/api/phone-links', landing)
      return { id: body.id as string, path: new URL(body.address).pathname }
    }

    it('opens once, without an account, and what it takes lands where the laptop stood', async () => {
      const { site, school, wren } = await start()
      const { id, path } = await lend(wren, { classId: school.classes.methods })
      const phone = site.browser()
      expect((await phone.get('/api/phone')).status).toBe(410)
      // Whoever only looks where the address leads uses nothing up.
      const looked = await site.browser().ask('HEAD', path)
      expect([looked.headers.get('location'), looked.headers.get('set-cookie')]).toEqual(['/camera', null])
      expect((await phone.get(path)).headers.get('location')).toBe('/camera')
      expect((await phone.get('/api/phone')).body).toMatchObject({ firstName: 'Wren', taken: 0 })
      // Whoever looks over a shoulder and opens the same code gets nothing.
      const other = site.browser()
      await other.get(path)
      expect((await other.get('/api/phone')).body.reason).toBe('phone-unknown')
      expect((await sendFrom(other, 'x.jpg')).status).toBe(410)
      expect((await sendFrom(phone, 'tally.jpg')).status).toBe(204)
      const { state, arrived } = (await wren.get(`/api/phone-links/${id}`)).body
      expect([state, arrived.length]).toEqual(['lent', 1])
      expect((await wren.get(`/api/evidence/${arrived[0]}`)).body).toMatchObject({
        title: 'tally',
        classId: school.classes.methods,
        rights: { state: 'mine' },
        inTray: true,
      })
      // It may do nothing else.
      expect((await phone.get('/api/evidence')).status).toBe(401)
    })

    onSqlite(
      'ends after ten minutes, with the laptop’s session, and when another code is shown',
      async () => {
        const { site, wren, wait } = await start()
        const open = async () => {
          const { id, path } = await lend(wren)
          const phone = site.browser()
          await phone.get(path)
          return { id, path, phone }
        }
        const first = await open()
        const second = await open()
        expect((await first.phone.get('/api/phone')).body.reason).toBe('phone-over')
        expect((await wren.get(`/api/phone-links/${first.id}`)).body.state).toBe('ended')
        wait(10)
        expect((await sendFrom(second.phone, 'late.jpg')).body.reason).toBe('phone-over')
        const unopened = await lend(wren)
        wait(11)
        const late = site.browser()
        await late.get(unopened.path)
        expect((await late.get('/api/phone')).body.reason).toBe('phone-unknown')
        const third = await open()
        await wren.delete('/api/session')
        expect((await third.phone.get('/api/phone')).body.reason).toBe('phone-over')
      },
    )

    onSqlite('is told when a file is empty, too large or broke off', async () => {
      const { site, wren } = await start()
      const { path } = await lend(wren)
      const phone = site.browser()
      await phone.get(path)
      const send = (length: number, content: Buffer) =>
        phone.ask('POST', '/api/phone/files?name=a', content, {
          'content-type': 'application/octet-stream',
          'content-length': String(length),
        })
      expect((await send(0, Buffer.alloc(0))).body.reason).toBe('file-empty')
      expect((await send(300 * 1_048_576, Buffer.from('x'))).body.reason).toBe('file-too-large')
      expect((await send(9, Buffer.from('short'))).body.reason).toBe('file-cut-off')
      expect((await wren.get('/api/evidence')).body.count).toBe(0)
    })
  })
})
