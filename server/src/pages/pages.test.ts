import { newEntryPiece, newEvidencePiece, newTextPiece } from '@valise/core/pages'
import type { Operation, Piece } from '@valise/core/pages'
import { v7 as uuidv7 } from 'uuid'
import { reflectionRoutes } from '../reflections/index.ts'
import {
  addTextRow,
  describeEachDatabase,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  upload,
  writeText,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { pageRoutes } from './index.ts'

const row = (piece: Piece, after: string | null = null): Operation => ({
  op: 'insert-row',
  row: { id: `row-${piece.id}`, pieces: [piece] },
  after,
})

describeEachDatabase('pages', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const begin = async () => {
      const { body } = await wren.post('/api/pages', { title: 'Transect 3', lang: 'en' })
      return `/api/pages/${body.id}`
    }
    const add = async (name: string, content: Buffer) => {
      const { body } = await upload(wren, { name, content })
      await site.services.jobs.drain()
      return body.outcome.evidenceId as string
    }
    return { site, school, as, wren, begin, add }
  }
  const publish = (browser: TestBrowser, path: string, revision: number) =>
    browser.ask('POST', `${path}/published`, undefined, { 'if-match': `"r${revision}"` })

  onSqlite('keep every edit, and are listed by what was changed last', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const first = await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', 'silt')] })
    expect(first.body).toMatchObject({ revision: 2, others: [] })
    await sendEdit(wren, path, { base: 2, operations: [{ op: 'set-title', title: 'The creek' }] })
    const { body } = await wren.get(path)
    expect(body.draft).toMatchObject({ revision: 3, document: { title: 'The creek' }, otherVersions: [] })
    expect(body.published).toBeNull()
    const list = await wren.get('/api/pages')
    expect(list.body.items).toMatchObject([{ title: 'The creek', isNewer: true, publishedAt: null }])
    expect((await wren.get('/api/pages/count')).body).toEqual({ live: 1 })
  })

  onSqlite('count an edit once, however often a device sends it', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const edit = { base: 1, editId: uuidv7(), operations: [addTextRow('a', 'silt')] }
    const answers = [await sendEdit(wren, path, edit), await sendEdit(wren, path, edit)]
    expect(answers.map(({ body }) => body.revision)).toEqual([2, 2])
    expect((await wren.get(path)).body.draft.document.rows).toHaveLength(1)
  })

  onSqlite('join edits of two windows to different pieces', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    await sendEdit(wren, path, {
      base: 1,
      operations: [addTextRow('a', 'one'), addTextRow('b', 'two', 'row-a')],
    })
    await sendEdit(wren, path, { base: 2, operations: [writeText('a', 'one, here')] })
    const other = await sendEdit(wren, path, { base: 2, operations: [writeText('b', 'two, there')] })
    expect(other.body).toMatchObject({ revision: 4, others: [writeText('a', 'one, here')] })
    const { body } = await wren.get(path)
    expect(JSON.stringify(body.draft.document)).toMatch(/one, here.*two, there/)
  })

  onSqlite('refuse the same piece written twice, and keep both texts', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const windowId = uuidv7()
    await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', 'one')] })
    await sendEdit(wren, path, { base: 2, operations: [writeText('a', 'first')] })
    const late = await sendEdit(wren, path, { base: 2, windowId, operations: [writeText('a', 'sec')] })
    expect([late.status, late.body.reason, late.body.params]).toEqual([412, 'piece-changed', { piece: 'a' }])
    // The window goes on with what it had: its later text takes the place of its earlier one.
    await sendEdit(wren, path, { base: 2, windowId, operations: [writeText('a', 'second')] })
    const { body } = await wren.get(path)
    expect(JSON.stringify(body.draft.document)).toContain('first')
    expect(body.draft.otherVersions).toMatchObject([
      { isHere: true, piece: { id: 'a', text: { content: [{ content: [{ text: 'second' }] }] } } },
    ])
    const [other] = body.draft.otherVersions
    const taken = await wren.post(`${path}/other-versions/${other.id}`)
    expect(JSON.stringify(taken.body.document)).toContain('second')
    expect(JSON.stringify(taken.body.otherVersions)).toContain('first')
    await wren.delete(`${path}/other-versions/${taken.body.otherVersions[0].id}`)
    expect((await wren.get(path)).body.draft.otherVersions).toEqual([])
  })

  it('keep a title that lost as a text that can be put on the page', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    await sendEdit(wren, path, { base: 1, operations: [{ op: 'set-title', title: 'Here' }] })
    const late = await sendEdit(wren, path, { base: 1, operations: [{ op: 'set-title', title: 'There' }] })
    expect([late.status, late.body.reason]).toEqual([412, 'title-changed'])
    const [other] = (await wren.get(path)).body.draft.otherVersions
    expect(other.isHere).toBe(false)
    const taken = await wren.post(`${path}/other-versions/${other.id}`)
    expect(JSON.stringify(taken.body.document.rows)).toContain('There')
    expect(taken.body.document.title).toBe('Here')
  })

  it('take an edit made long ago, after the log was tidied', async () => {
    const { site, wren, begin } = await start()
    const path = await begin()
    const windowId = uuidv7()
    await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', 'one'), addTextRow('b', 'two')] })
    for (let n = 2; n < 60; n += 1)
      await sendEdit(wren, path, { base: n, windowId, operations: [writeText('a', `word ${n}`)] })
    const { sql } = site.services.database.reader()
    expect(await sql('draftEdits')).not.toHaveLength(59)
    const late = await sendEdit(wren, path, { base: 2, operations: [writeText('b', 'late')] })
    expect(late.body.revision).toBe(61)
    const document = JSON.stringify((await wren.get(path)).body.draft.document)
    expect(document).toMatch(/word 59/)
    expect(document).toMatch(/late/)
  })

  onSqlite.each<[string, Operation[], number, string]>([
    [
      'a script in a text',
      [
        {
          op: 'insert-row',
          after: null,
          row: {
            id: 'r',
            pieces: [
              {
                id: 'a',
                kind: 'text',
                span: 12,
                lang: null,
                text: { type: 'doc', content: [{ type: 'script' }] },
              },
            ],
          },
        },
      ],
      422,
      'text-not-allowed',
    ],
    ['a piece that is not there', [writeText('nowhere', 'x')], 412, 'piece-changed'],
    [
      'evidence that is not there',
      [row(newEvidencePiece('p', { id: '01890000-0000-7000-8000-000000000000', kind: 'picture' }))],
      404,
      'not-found',
    ],
    [
      'an entry that is not there',
      [row(newEntryPiece('p', '01890000-0000-7000-8000-000000000000'))],
      404,
      'not-found',
    ],
  ])('refuse %s in words', async (_, operations, status, reason) => {
    const { wren, begin } = await start()
    const path = await begin()
    const answer = await sendEdit(wren, path, { base: 1, operations })
    expect([answer.status, answer.body.reason]).toEqual([status, reason])
    expect((await wren.get(path)).body.draft.document.rows).toEqual([])
  })

  onSqlite('refuse an edit of a revision that does not exist yet', async () => {
    const { wren, begin } = await start()
    const answer = await sendEdit(wren, await begin(), { base: 9, operations: [addTextRow('a', 'x')] })
    expect([answer.status, answer.body.reason]).toEqual([412, 'edit-unfit'])
  })

  onSqlite(
    'publish what their author saw, and change nothing of it until they are published again',
    async () => {
      const { wren, begin, add } = await start()
      const path = await begin()
      const picture = await add('map.png', await makePicture({ width: 400 }))
      const piece = { ...newEvidencePiece('p', { id: picture, kind: 'picture' }), alternativeText: 'A map' }
      expect((await publish(wren, path, 1)).body.reason).toBe('empty-page')
      await sendEdit(wren, path, { base: 1, operations: [row(piece as Piece), addTextRow('a', 'silt')] })
      expect((await publish(wren, path, 1)).status).toBe(412)
      expect((await wren.ask('POST', `${path}/published`)).status).toBe(428)
      const { body } = await publish(wren, path, 2)
      expect(body.published).toMatchObject({ n: 1, shown: { evidence: { p: { n: 1, hasPicture: true } } } })
      await sendEdit(wren, path, { base: 2, operations: [writeText('a', 'sand')] })
      const published = (await wren.get(`${path}/published`)).body
      expect(published.html).toContain('<p>silt</p>')
      expect(published.html).toContain('alt="A map"')
      const [address] = published.html.match(/\/api\/pages\/[^"]+screen/)
      expect((await wren.get(address)).headers.get('content-type')).toBe('image/webp')
      // The picture itself is not handed out, only what was made of it.
      expect((await wren.get(address.replace('screen', 'file'))).status).toBe(404)
      expect((await wren.get('/api/pages')).body.items[0]).toMatchObject({ isNewer: true })
    },
  )

  onSqlite('show a picture that was still being made when they were published, once it is made', async () => {
    const { site, wren, begin } = await start()
    const path = await begin()
    const { body } = await upload(wren, { name: 'map.png', content: await makePicture() })
    const piece = newEvidencePiece('p', { id: body.outcome.evidenceId, kind: 'picture' })
    await sendEdit(wren, path, { base: 1, operations: [row(piece)] })
    await publish(wren, path, 2)
    const screen = `${path}/published/1/pieces/p/screen`
    expect((await wren.get(`${path}/published`)).body.html).not.toContain(screen)
    await site.services.jobs.drain()
    expect((await wren.get(`${path}/published`)).body.html).toContain(screen)
    expect((await wren.get(screen)).status).toBe(200)
  })

  onSqlite('show no more what was put into the bin, even where it is published', async () => {
    const { wren, begin, add } = await start()
    const path = await begin()
    const report = await add('report.txt', Buffer.from('silt and sand'))
    await sendEdit(wren, path, {
      base: 1,
      operations: [row(newEvidencePiece('f', { id: report, kind: 'file' }))],
    })
    await publish(wren, path, 2)
    const file = `${path}/published/1/pieces/f/file`
    expect((await wren.get(file)).bytes.toString()).toBe('silt and sand')
    expect((await wren.get(`/api/things/${report}/uses`)).body).toMatchObject([{ kind: 'page' }])
    await wren.put(`/api/things/${report}/bin`, undefined)
    expect((await wren.get(file)).status).toBe(404)
    expect((await wren.get(`${path}/published`)).body.html).toContain('This is not shown any more.')
    await wren.delete(`/api/things/${report}/bin`)
    expect((await wren.get(file)).status).toBe(200)
  })

  onSqlite('use the links that their texts lead to, as long as they do', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    const address = 'https://tides.example/harbour'
    const { body: link } = await wren.post('/api/links', { address, landing: {} })
    const linked = (href: string) => ({
      ...newTextPiece('t'),
      text: {
        type: 'doc' as const,
        content: [
          {
            type: 'paragraph',
            content: [{ type: 'text', text: 'Tides', marks: [{ type: 'link' as const, attrs: { href } }] }],
          },
        ],
      },
    })
    const uses = async () => (await wren.get(`/api/things/${link.id}/uses`)).body
    expect(await uses()).toEqual([])
    await sendEdit(wren, path, { base: 1, operations: [row(linked(address))] })
    expect(await uses()).toMatchObject([{ kind: 'page' }])
    await sendEdit(wren, path, {
      base: 2,
      operations: [{ op: 'set-piece', piece: linked('https://elsewhere.example') }],
    })
    expect(await uses()).toEqual([])
  })

  it('go into the bin and come out of it whole', async () => {
    const { wren, begin } = await start()
    const path = await begin()
    await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', 'silt')] })
    await publish(wren, path, 2)
    const thing = path.replace('pages', 'things')
    expect((await wren.delete(thing)).status).toBe(409)
    await wren.put(`${thing}/bin`, undefined)
    expect((await wren.get('/api/pages')).body.items).toEqual([])
    expect((await wren.get('/api/bin')).body.count).toBe(1)
    expect((await wren.get(`${path}/published`)).status).toBe(404)
    const edit = await sendEdit(wren, path, { base: 2, operations: [writeText('a', 'x')] })
    expect([edit.status, edit.body.reason]).toEqual([409, 'in-the-bin'])
    await wren.delete(`${thing}/bin`)
    expect((await wren.get(path)).body.published.n).toBe(1)
    await wren.put(`${thing}/bin`, undefined)
    await wren.delete(thing)
    expect((await wren.get(path)).status).toBe(404)
  })

  onSqlite('are seen by their author alone, on every route', async () => {
    const { as, wren, begin } = await start()
    const path = await begin()
    const pageId = path.split('/').at(-1) ?? ''
    await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', 'silt')] })
    await publish(wren, path, 2)
    const logbook = (await wren.post('/api/logbooks', { title: 'Visits' })).body.id
    const day = { day: '2026-11-24', title: '', lang: 'en' }
    const entry = (await wren.post(`/api/logbooks/${logbook}/entries`, day)).body.id
    const edit = { base: 1, editId: uuidv7(), windowId: uuidv7(), operations: [addTextRow('z', 'x')] }
    for (const name of ['kit', 'odalys', 'mireille']) {
      const browser = await as(name)
      for (const { spec } of [...pageRoutes, ...reflectionRoutes].filter(({ spec: { path: at } }) =>
        at.includes('{id}'),
      )) {
        const id = spec.path.startsWith('/api/pages')
          ? pageId
          : spec.path.startsWith('/api/logbooks')
            ? logbook
            : entry
        const at = spec.path
          .replace('{id}', id)
          .replace('{otherId}', id)
          .replace('{n}', '1')
          .replace('{piece}', 'a')
        const body = spec.path.endsWith('/edits')
          ? edit
          : { title: 'x', ...(spec.path.endsWith('entries') && day) }
        const sent = spec.path === '/api/entries/{id}' ? { day: day.day } : body
        const answer = await browser.ask(spec.method.toUpperCase(), at, spec.body ? sent : undefined, {
          'if-match': '"r1"',
        })
        expect([name, spec.method, spec.path, answer.status]).toEqual([name, spec.method, spec.path, 404])
      }
    }
    expect((await wren.get(path)).body.draft.revision).toBe(2)
  })
})
