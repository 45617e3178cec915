import type { CollectionItem } from '@valise/core/collections'
import { v7 as uuidv7 } from 'uuid'
import {
  addTextRow,
  describeEachDatabase,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const placeOf = (thingId: string): CollectionItem => ({
  ...{ id: uuidv7(), kind: 'thing', thingId, isHidden: false },
})
const divider = (title: string): CollectionItem => ({ id: uuidv7(), kind: 'divider', title, isHidden: false })

describeEachDatabase('collections', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const addPage = async (title: string, isPublished = true) => {
      const { body } = await wren.post('/api/pages', { title, lang: 'en' })
      const path = `/api/pages/${body.id}`
      await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', title)] })
      if (isPublished) await wren.ask('POST', `${path}/published`, undefined, { 'if-match': '"r2"' })
      return body.id as string
    }
    const begin = async (title: string) => (await wren.post('/api/collections', { title })).body.id as string
    const fill = async (id: string, ...items: CollectionItem[]) => {
      const { body } = await wren.get(`/api/collections/${id}`)
      const operations = items.map((item, at) => ({ op: 'insert', item, after: items[at - 1]?.id ?? null }))
      return wren.patch(`/api/collections/${id}`, { operations }, body.revision)
    }
    return { site, as, wren, addPage, begin, fill }
  }
  const titlesRead = async (browser: TestBrowser, id: string) => {
    const { body } = await browser.get(`/api/collections/${id}/read`)
    return body.lines.map((line: { title: string; depth: number }) => `${line.depth} ${line.title}`)
  }

  it('hold pages and dividers in an order, and show others what is published and not hidden', async () => {
    const { wren, addPage, begin, fill } = await start()
    const year = await begin('  Shore   year ')
    const items = [
      divider('Autumn'),
      placeOf(await addPage('Transect 3')),
      placeOf(await addPage('Storm week', false)),
    ]
    const { body } = await fill(year, ...items)
    expect(body).toMatchObject({ title: 'Shore year', items, revision: 2 })
    expect(body.things).toHaveLength(2)
    expect(await titlesRead(wren, year)).toEqual(['0 Autumn', '0 Transect 3'])
    const hide = { operations: [{ op: 'set-hidden', id: items[1]?.id, isHidden: true }] }
    await wren.patch(`/api/collections/${year}`, hide, 2)
    expect(await titlesRead(wren, year)).toEqual([])
    expect((await wren.get('/api/collections')).body).toMatchObject({
      count: 1,
      items: [{ title: 'Shore year', pages: 2, published: 0 }],
    })
    expect((await wren.get('/api/collections/count')).body).toEqual({ live: 1 })
  })

  it('are read down into the collections that lie in them', async () => {
    const { wren, addPage, begin, fill } = await start()
    const [year, winter] = [await begin('Shore year'), await begin('Winter')]
    await fill(winter, placeOf(await addPage('Ice')))
    await fill(year, placeOf(await addPage('Transect 3')), placeOf(winter))
    expect(await titlesRead(wren, year)).toEqual(['0 Transect 3', '0 Winter', '1 Ice'])
  })

  it('refuse to lie in themselves, and to be changed as they were before', async () => {
    const { wren, begin, fill } = await start()
    const [year, winter] = [await begin('Shore year'), await begin('Winter')]
    await fill(year, placeOf(winter))
    expect((await fill(winter, placeOf(year))).body.reason).toBe('collection-circle')
    expect((await fill(winter, placeOf(winter))).body.reason).toBe('collection-circle')
    const rename = { operations: [{ op: 'set-title', title: 'A year' }] }
    expect((await wren.patch(`/api/collections/${year}`, rename, 1)).status).toBe(412)
    expect((await wren.patch(`/api/collections/${year}`, rename)).status).toBe(428)
  })

  onSqlite('refuse what is somebody else’s as if it were not there, and one thing twice', async () => {
    const { as, wren, addPage, begin, fill } = await start()
    const tomasz = await as('tomasz')
    const foreign = (await tomasz.post('/api/pages', { title: 'His', lang: 'en' })).body.id
    const year = await begin('Shore year')
    for (const id of [foreign, uuidv7()]) {
      const refused = await fill(year, placeOf(id))
      expect([refused.status, refused.body.reason]).toEqual([404, 'not-found'])
    }
    const page = await addPage('Transect 3')
    expect((await fill(year, placeOf(page), placeOf(page))).body.reason).toBe('already-in-collection')
    expect((await wren.get(`/api/collections/${year}`)).body.items).toEqual([])
  })

  it('leave their pages where they are when they go', async () => {
    const { wren, addPage, begin, fill } = await start()
    const year = await begin('Shore year')
    const page = await addPage('Transect 3')
    await fill(year, placeOf(page))
    expect((await wren.delete(`/api/things/${year}`)).body.reason).toBe('not-in-bin')
    await wren.put(`/api/things/${year}/bin`, undefined)
    expect((await wren.get('/api/bin')).body.count).toBe(1)
    expect((await wren.get(`/api/collections/${year}/read`)).status).toBe(404)
    expect((await fill(year, divider('x'))).body.reason).toBe('in-the-bin')
    await wren.delete(`/api/things/${year}/bin`)
    expect(await titlesRead(wren, year)).toEqual(['0 Transect 3'])
    await wren.put(`/api/things/${year}/bin`, undefined)
    await wren.delete(`/api/things/${year}`)
    expect((await wren.get(`/api/collections/${year}`)).status).toBe(404)
    expect((await wren.get(`/api/pages/${page}`)).status).toBe(200)
  })

  onSqlite('go at once where they are as they were begun, and pages likewise', async () => {
    const { wren, addPage, begin, fill } = await start()
    const empty = await begin('')
    expect((await wren.delete(`/api/things/${empty}`)).status).toBe(204)
    const holder = await begin('')
    await fill(holder, divider(''))
    expect((await wren.delete(`/api/things/${holder}`)).body.reason).toBe('not-in-bin')
    const newPage = async () => (await wren.post('/api/pages', { title: '', lang: 'en' })).body.id as string
    const page = await newPage()
    expect((await wren.delete(`/api/things/${page}`)).status).toBe(204)
    // One that lies somewhere, or holds anything, goes by way of the bin.
    const held = await newPage()
    await fill(holder, placeOf(held))
    const written = await addPage('Transect 3', false)
    for (const id of [held, written])
      expect((await wren.delete(`/api/things/${id}`)).body.reason).toBe('not-in-bin')
  })

  it('lose a page that is removed for good, and what they reached with it', async () => {
    const { site, wren, addPage, begin, fill } = await start()
    const year = await begin('Shore year')
    const page = await addPage('Transect 3')
    await fill(year, placeOf(page))
    await wren.put(`/api/things/${page}/bin`, undefined)
    expect(await titlesRead(wren, year)).toEqual([])
    await wren.delete(`/api/things/${page}`)
    expect((await wren.get(`/api/collections/${year}`)).body.items).toEqual([])
    expect(await site.services.database.reader().sql('reach')).toEqual([])
  })
})
