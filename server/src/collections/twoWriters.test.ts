// Two writers at the same moment: what is computed from several rows is computed from what both wrote. SQLite has one
// writer at a time; PostgreSQL has several, and each must wait for the other where they change things of one owner.
import { reachOf } from '@valise/core/collections'
import type { CollectionItem } from '@valise/core/collections'
import { v7 as uuidv7 } from 'uuid'
import {
  addTextRow,
  choose,
  describeEachDatabase,
  handInChosen,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  setAssignment,
  upload,
} from '../testing/index.ts'
import { listContainers } from './reachStore.ts'

const ROUNDS = 12
const placeOf = (thingId: string): CollectionItem => ({
  ...{ id: uuidv7(), kind: 'thing', thingId, isHidden: false },
})

describeEachDatabase('two writers at once', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const { people, classes } = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const addPage = async (title: string) => {
      const { id } = (await wren.post('/api/pages', { title, lang: 'en' })).body
      const path = `/api/pages/${id}`
      await sendEdit(wren, path, { base: 1, operations: [addTextRow('a', title)] })
      await wren.ask('POST', `${path}/published`, undefined, { 'if-match': '"r2"' })
      return String(id)
    }
    const begin = async (title: string) => String((await wren.post('/api/collections', { title })).body.id)
    const change = async (id: string, ...operations: object[]) => {
      const { revision } = (await wren.get(`/api/collections/${id}`)).body
      return () => wren.patch(`/api/collections/${id}`, { operations }, revision)
    }
    const put = (id: string, item: CollectionItem) => change(id, { op: 'insert', item, after: null })
    return { site, people, classes, as, wren, addPage, begin, change, put }
  }

  it('never leave a hidden page within reach', async () => {
    const { site, people, as, wren, addPage, begin, change, put } = await start()
    const tomasz = await as('tomasz')
    const [year, winter] = [await begin('Shore year'), await begin('Winter')]
    const place = placeOf(winter)
    await (
      await put(year, place)
    )()
    const audience = { kind: 'person', personId: people.tomasz }
    const days = { firstDay: null, lastDay: null }
    await wren.post('/api/passes', {
      thing: { kind: 'collection', id: year },
      audience,
      rights: ['look'],
      ...days,
    })
    for (let round = 0; round < ROUNDS; round += 1) {
      const page = await addPage(`Ice ${round}`)
      const setHidden = (isHidden: boolean) => change(year, { op: 'set-hidden', id: place.id, isHidden })
      const both = [await put(winter, placeOf(page)), await setHidden(true)]
      const answers = await Promise.all(both.map((write) => write()))
      expect(answers.map(({ status }) => status)).toEqual([200, 200])
      expect((await tomasz.get(`/api/pages/${page}/published`)).status).toBe(404)
      const reader = site.services.database.reader()
      const stored = await reader.sql('reach').select('containerId', 'thingId', 'itemId')
      const computed = reachOf(await listContainers(reader, people.wren))
      expect(new Set(stored.map((row) => JSON.stringify(row)))).toEqual(
        new Set(computed.map((row) => JSON.stringify(row))),
      )
      await (
        await setHidden(false)
      )()
      expect((await tomasz.get(`/api/pages/${page}/published`)).status).toBe(200)
    }
  })

  it('never put two collections into each other', async () => {
    const { begin, put } = await start()
    for (let round = 0; round < ROUNDS; round += 1) {
      const [one, other] = [await begin('One'), await begin('Other')]
      const both = [await put(one, placeOf(other)), await put(other, placeOf(one))]
      const answers = await Promise.all(both.map((write) => write()))
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
    }
  })

  it('hand in once', async () => {
    const { as, wren, classes, addPage } = await start()
    const odalys = await as('odalys')
    const page = await addPage('Transect 3')
    for (let round = 0; round < ROUNDS; round += 1) {
      const assignment = await setAssignment(odalys, classes.methods)
      await choose(wren, assignment, [{ kind: 'page', id: page }])
      const answers = await Promise.all([handInChosen(wren, assignment), handInChosen(wren, assignment)])
      expect(answers.map(({ status }) => status).sort()).toEqual([202, 409])
    }
  })

  it('both begin to keep things, each of which is found by its words', async () => {
    const { as } = await start()
    const browsers = await Promise.all(['wren', 'tomasz', 'kit'].map(as))
    const all = browsers.flatMap((browser) => ['one', 'two', 'three'].map((name) => ({ browser, name })))
    const answers = await Promise.all(
      all.map(({ browser, name }) =>
        upload(browser, { name: `heron ${name}.txt`, content: Buffer.from(name) }),
      ),
    )
    expect(answers.map(({ status }) => status)).toEqual(all.map(() => 200))
    for (const browser of browsers) {
      const { items } = (await browser.get('/api/evidence?words=heron')).body
      expect(items.map(({ title }: { title: string }) => title).sort()).toEqual([
        'heron one',
        'heron three',
        'heron two',
      ])
    }
  })

  it('bring the same bytes, which are kept once', async () => {
    const { wren } = await start()
    for (let round = 0; round < ROUNDS; round += 1) {
      const file = { name: 'tide table.txt', content: Buffer.from(`round ${round}`) }
      const answers = await Promise.all([upload(wren, file), upload(wren, file)])
      expect(answers.map(({ body }) => body.outcome.kind).sort()).toEqual(['new', 'same'])
    }
  })

  it('both have their words in the document', async () => {
    const { wren } = await start()
    const { id } = (await wren.post('/api/pages', { title: 'Log', lang: 'en' })).body
    const rows = Array.from({ length: ROUNDS }, (_, n) => `row-${n}`)
    const answers = await Promise.all(
      rows.map((row) => sendEdit(wren, `/api/pages/${id}`, { base: 1, operations: [addTextRow(row, row)] })),
    )
    expect(answers.map(({ status }) => status)).toEqual(rows.map(() => 200))
    const { document } = (await wren.get(`/api/pages/${id}`)).body.draft
    expect(JSON.stringify(document.rows).match(/row-\d+"}/g)).toHaveLength(ROUNDS)
  })
})
