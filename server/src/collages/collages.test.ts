import { newEvidencePiece } from '@valise/core/pages'
import type { Collage, Layer, RecipeStep } from '@valise/core/pictures'
import sharp from 'sharp'
import {
  describeEachDatabase,
  makePicture,
  openTestSqlite,
  sendEdit,
  startSubmissions,
  upload,
} from '../testing/index.ts'
import type { OpenDatabase, TestBrowser } from '../testing/index.ts'

const conceal: RecipeStep = {
  kind: 'conceal',
  on: true,
  parts: [{ corners: [[0, 0], [640, 0], [640, 480], [0, 480]], radius: 0, fill: 'cover', seed: 1 }], // prettier-ignore
}
const covered = [30, 40, 50]
const idOf = ({ id }: { id: string }) => id

async function start(open: OpenDatabase) {
  const world = await startSubmissions(open)
  const { wren, seal, pass } = world
  const settle = async () => {
    pass(1)
    await seal()
    pass(1)
    await seal()
  }
  const add = async (name: string, colour: string) => {
    const { body } = await upload(wren, { name, content: await makePicture({ colour }) })
    await settle()
    return body.outcome.evidenceId as string
  }
  const begin = async (...pictures: string[]) => {
    const { body, status } = await wren.post('/api/collages', { size: 'wide', pictures })
    expect(status).toBe(201)
    await settle()
    return body.id as string
  }
  const read = async (id: string) => (await wren.get(`/api/collages/${id}`)).body
  const save = (id: string, collage: unknown, revision: number) =>
    wren.put(`/api/collages/${id}`, collage, revision)
  const filling = (id: string): Collage => ({
    schema: 1,
    size: 'wide',
    background: { kind: 'picture', evidenceId: id, n: 1 },
    layers: [],
  })
  return { ...world, settle, add, begin, read, save, filling }
}

async function colourAt(browser: TestBrowser, address: string, x: number, y: number) {
  const { bytes, status } = await browser.get(address)
  if (status !== 200) return status
  const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true })
  const from = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * 3
  return [...data.subarray(from, from + 3)].map((value) => Math.round(value / 10) * 10)
}
const at = (id: string, what: string, n = 1) => `/api/evidence/${id}/versions/${n}/${what}`

describeEachDatabase('collages', (open, onSqlite) => {
  onSqlite(
    'never show what is concealed in one of their pictures, from that moment on and to everybody',
    async () => {
      const { wren, as, add, begin, read, save, filling, settle, publish, school } = await start(open)
      const red = await add('a.jpg', '#c02020')
      const id = await begin()
      await save(id, filling(red), (await read(id)).revision)
      await settle()
      expect(await colourAt(wren, at(id, 'screen'), 0.5, 0.5)).toEqual([190, 30, 30])
      const page = (await wren.post('/api/pages', { title: 'Board', lang: 'en' })).body.id as string
      const piece = { ...newEvidencePiece('board', { id, kind: 'collage' }), alternativeText: 'All in red' }
      expect(piece.kind).toBe('picture')
      const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
      await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
      await publish(wren, page, 2)
      await wren.post('/api/passes', {
        ...{
          thing: { kind: 'page', id: page },
          audience: { kind: 'person', personId: school.people.tomasz },
        },
        ...{ rights: ['look'], firstDay: null, lastDay: null },
      })
      const tomasz = await as('tomasz')
      const screen = `/api/pages/${page}/published/1/pieces/board/screen`
      expect(await colourAt(tomasz, screen, 0.5, 0.5)).toEqual([190, 30, 30])
      // Whoever sees the collage sees the picture.
      expect((await wren.get(`/api/things/${red}/seen-by`)).body.people).toBe(1)
      await wren.put(at(red, 'recipe'), { schema: 1, steps: [conceal] }, 0)
      // Before it is painted anew, others get none at all.
      expect((await tomasz.get(screen)).status).toBe(404)
      await settle()
      expect(await colourAt(tomasz, screen, 0.5, 0.5)).toEqual(covered)
      expect(await colourAt(wren, at(id, 'file'), 0.5, 0.5)).toEqual(covered)
    },
  )

  onSqlite('carry the credits of their pictures, and owe the rights that these owe', async () => {
    const { wren, add, begin, read, save, filling, publish } = await start(open)
    const red = await add('a.jpg', '#c02020')
    const id = await begin()
    await save(id, filling(red), (await read(id)).revision)
    const page = (await wren.post('/api/pages', { title: 'Board', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('board', { id, kind: 'collage' }), alternativeText: 'All in red' }
    const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    const shown = async () => (await wren.get(`/api/pages/${page}`)).body.draft.shown.evidence.board
    expect((await shown()).rightsDeclared).toBe(false)
    const { revision } = (await wren.get(`/api/evidence/${red}`)).body
    const rights = { state: 'licensed', maker: 'Ines Orr', source: 'The shelf', licence: 'cc-by-4.0' }
    await wren.ask('PATCH', `/api/evidence/${red}`, { rights }, { 'if-match': `"r${revision}"` })
    expect(await shown()).toMatchObject({
      rightsDeclared: true,
      credit: null,
      creditsWithin: [{ maker: 'Ines Orr' }],
    })
    expect((await wren.get(`/api/evidence/${id}`)).body.parts).toMatchObject([
      { id: red, rightsState: 'licensed', credit: { maker: 'Ines Orr' } },
    ])
    await publish(wren, page, 2)
    expect((await wren.get(`/api/pages/${page}/published`)).body.html).toContain('Ines Orr')
    expect((await wren.get(`/api/things/${red}/uses`)).body).toMatchObject([{ kind: 'evidence', id }])
    const unused = async () => (await wren.get('/api/evidence?only=unused')).body.items.map(idOf)
    expect(await unused()).not.toContain(red)
    await wren.ask('PUT', `/api/things/${id}/bin`)
    expect(await unused()).toContain(red)
    await wren.ask('DELETE', `/api/things/${id}/bin`)
    expect(await unused()).not.toContain(red)
  })

  it('are found by the words that stand on them, and say what they are under them', async () => {
    const { wren, begin, read, save } = await start(open)
    const id = await begin()
    const { collage, revision } = await read(id)
    const common = { x: 0, y: 0, width: 90, height: 90, turn: 0, isLocked: false, group: null }
    const text = { words: 'Neap tide', size: 30, font: 'serif', align: 'left', ink: 'ink' }
    const layers = [
      { ...common, ...text, id: 't', kind: 'text' },
      { ...common, id: 'n', kind: 'number', colour: 'tan', note: 'A lugworm cast' },
    ]
    await save(id, { ...collage, layers }, revision)
    const found = async (words: string) =>
      (await wren.get(`/api/evidence?words=${words}`)).body.items.map(idOf)
    expect(await found('neap')).toEqual([id])
    expect(await found('lugworm')).toEqual([id])
    const { revision: said } = (await wren.get(`/api/evidence/${id}`)).body
    const change = { caption: '  Seen at\nSkerrow  ' }
    const answer = await wren.ask('PATCH', `/api/evidence/${id}`, change, { 'if-match': `"r${said}"` })
    expect(answer.body.caption).toBe('Seen at Skerrow')
    expect(await found('skerrow')).toEqual([id])
    // What is said of the item beside the board leaves the board's own revision as it was.
    expect((await save(id, { ...collage, layers: [] }, revision + 1)).status).toBe(200)
    expect(await found('neap')).toEqual([])
    const page = (await wren.post('/api/pages', { title: 'Board', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('board', { id, kind: 'collage' }), alternativeText: 'A board' }
    const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    expect((await wren.get(`/api/pages/${page}`)).body.draft.shown.evidence.board).toMatchObject({
      caption: 'Seen at Skerrow',
    })
  })

  onSqlite('say what is wrong with what cannot be kept, and stay as they were', async () => {
    const { wren, add, begin, read, save } = await start(open)
    const id = await begin(await add('a.jpg', '#c02020'))
    const { collage, revision } = await read(id)
    const twice = { ...collage, layers: [...collage.layers, ...collage.layers] }
    expect((await save(id, twice, revision)).body.reason).toBe('invalid-input')
    expect((await save(id, { ...collage, schema: 2 }, revision)).status).toBe(422)
    expect((await save(id, { ...collage, size: 'vast' }, revision)).status).toBe(422)
    expect((await read(id)).collage).toEqual(collage)
    // Neither the bench nor an upload puts anything in its place.
    expect((await wren.put(at(id, 'recipe'), { schema: 1, steps: [] }, 0)).body.reason).toBe('not-a-picture')
    const answer = await upload(wren, { name: 'x.jpg', content: await makePicture(), replaces: id })
    expect(answer.body.reason).toBe('other-kind')
    const note = await upload(wren, { name: 'x.txt', content: Buffer.from('words') })
    const wrong = { size: 'wide', pictures: [note.body.outcome.evidenceId] }
    expect((await wren.post('/api/collages', wrong)).body.reason).toBe('no-pictures')
  })
})

// Painting takes its time, and is the same whatever keeps what is painted.
describe('collages, as they are painted', () => {
  const open = openTestSqlite

  it('begin with pictures side by side, and are painted as a PNG of twice the board', async () => {
    const { wren, add, begin, read } = await start(open)
    const [red, blue] = [await add('a.jpg', '#c02020'), await add('b.jpg', '#2020c0')]
    const id = await begin(red, blue)
    const { collage, pictures, isMade } = await read(id)
    expect(isMade).toBe(true)
    expect(collage.layers).toMatchObject([
      { kind: 'picture', evidenceId: red },
      { kind: 'picture', evidenceId: blue },
    ])
    expect(pictures).toMatchObject([{ evidenceId: red, title: '', width: 640 }, { evidenceId: blue }])
    const item = (await wren.get(`/api/evidence/${id}`)).body
    expect(item).toMatchObject({ kind: 'collage', rightsState: 'mine' })
    expect(item.version).toMatchObject({ mime: 'image/png', width: 3200, height: 1800, preview: 'there' })
    const file = await sharp((await wren.get(at(id, 'file'))).bytes).metadata()
    expect([file.format, file.width, file.height]).toEqual(['png', 3200, 1800])
    expect(await colourAt(wren, at(id, 'screen'), 0.25, 0.5)).toEqual([190, 30, 30])
    expect(await colourAt(wren, at(id, 'screen'), 0.75, 0.5)).toEqual([30, 30, 190])
  })

  it('are kept with every change in one version, and follow with their pictures', async () => {
    const { wren, add, begin, read, save, settle } = await start(open)
    const red = await add('a.jpg', '#c02020')
    const id = await begin(red)
    const { collage, revision } = await read(id)
    const square: Layer = {
      ...{ id: 's', kind: 'shape', shape: 'rectangle', fill: 'moss', line: null, lineWidth: 0, tail: null },
      ...{ x: 0, y: 0, width: 400, height: 300, turn: 0, isLocked: false, group: null },
      ...{ words: '', size: 30, font: 'text', align: 'center', ink: 'ink' },
    }
    const next = { ...collage, size: 'tall', layers: [...collage.layers, square] }
    const answer = await save(id, next, revision)
    expect([answer.status, answer.body.isMade]).toEqual([200, false])
    expect((await save(id, collage, revision)).status).toBe(412)
    await settle()
    expect((await read(id)).collage).toEqual(next)
    const { version, versions } = (await wren.get(`/api/evidence/${id}`)).body
    expect(versions).toHaveLength(1)
    expect(version).toMatchObject({ width: 1800, height: 3200, preview: 'there' })
    expect(await colourAt(wren, at(id, 'screen'), 0.05, 0.05)).toEqual([60, 100, 50])
  })

  it('stay as others were given them; who goes on begins another version', async () => {
    const { wren, add, begin, read, save, filling, settle, publish } = await start(open)
    const [red, blue] = [await add('a.jpg', '#c02020'), await add('b.jpg', '#2020c0')]
    const id = await begin()
    await save(id, filling(red), (await read(id)).revision)
    await settle()
    const page = (await wren.post('/api/pages', { title: 'Board', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('board', { id, kind: 'collage' }), alternativeText: 'All in red' }
    const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    await publish(wren, page, 2)
    await save(id, filling(blue), (await read(id)).revision)
    await settle()
    expect((await wren.get(`/api/evidence/${id}`)).body.version.n).toBe(2)
    const screen = `/api/pages/${page}/published/1/pieces/board/screen`
    expect(await colourAt(wren, screen, 0.5, 0.5)).toEqual([190, 30, 30])
    expect(await colourAt(wren, at(id, 'screen', 2), 0.5, 0.5)).toEqual([30, 30, 190])
    // The version of before, made the newest again, is painted as its pictures look now.
    const { revision } = (await wren.get(`/api/evidence/${id}`)).body
    await wren.put(at(red, 'recipe'), { schema: 1, steps: [conceal] }, 0)
    await wren.post(`/api/evidence/${id}/versions`, { from: 1 }, { 'if-match': `"r${revision}"` })
    await settle()
    expect((await read(id)).collage).toEqual(filling(red))
    expect(await colourAt(wren, at(id, 'screen', 3), 0.5, 0.5)).toEqual(covered)
  })

  it('show nothing of a picture that was removed for good, or that is somebody else’s', async () => {
    const { wren, tomasz, add, begin, read, save, filling, settle } = await withTomasz()
    const red = await add('a.jpg', '#c02020')
    const id = await begin()
    await save(id, filling(red), (await read(id)).revision)
    await settle()
    await wren.put(`/api/things/${red}/bin`, undefined)
    await wren.ask('DELETE', `/api/things/${red}`)
    await settle()
    expect(await colourAt(wren, at(id, 'screen'), 0.5, 0.5)).toEqual([250, 240, 230])
    expect((await read(id)).pictures).toEqual([])
    const { body } = await upload(tomasz, {
      name: 'his.jpg',
      content: await makePicture({ colour: '#20c020' }),
    })
    await settle()
    const his = body.outcome.evidenceId as string
    expect((await wren.post('/api/collages', { size: 'wide', pictures: [his] })).status).toBe(404)
    await save(id, filling(his), (await read(id)).revision)
    await settle()
    expect(await colourAt(wren, at(id, 'screen'), 0.5, 0.5)).toEqual([250, 240, 230])
    expect((await tomasz.get(`/api/collages/${id}`)).status).toBe(404)
    expect((await tomasz.put(`/api/collages/${id}`, filling(his), 1)).status).toBe(404)

    async function withTomasz() {
      const world = await start(open)
      return { ...world, tomasz: await world.as('tomasz') }
    }
  })
})
