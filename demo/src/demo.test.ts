import { isShownAsPicture } from '@valise/core/evidence'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cast, demoRoutes, markSampleFolder, SAMPLE_PASSWORD } from './index.ts'
import { openSampleSite } from './sampleSite.ts'

const folderWith = (state: 'built' | 'building' | null) => {
  const dataFolder = mkdtempSync(join(tmpdir(), 'valise-demo-'))
  if (state) markSampleFolder(dataFolder, state)
  return dataFolder
}

describe('the sample world', () => {
  // Nothing here changes it.
  const { site, close } = openSampleSite()
  afterAll(close)

  it('holds the cast with their classes, past, running and to come', async () => {
    const admin = site.browser()
    await admin.signIn(cast.mireille.signInName, SAMPLE_PASSWORD)
    expect((await admin.get('/api/people')).body.count).toBe(38)
    const classes = (await admin.get('/api/classes')).body
    expect(classes.map((one: { name: string; students: number }) => [one.name, one.students])).toEqual([
      ['Autumn Tides', 0],
      ['Saturday Crew', 18],
      ['Shore Methods', 16],
    ])
    const juno = (await admin.get('/api/people?text=juno')).body.items[0]
    const { memberships } = (await admin.get(`/api/people/${juno.id}`)).body
    expect(memberships.map((one: { state: string }) => one.state)).toEqual(['ended', 'running'])
    const imre = (await admin.get('/api/people?text=imre')).body.items[0]
    expect((await admin.get(`/api/people/${imre.id}`)).body.memberships[0].state).toBe('to-come')
  })

  it('holds evidence of every sort, in every state', async () => {
    const wren = site.browser()
    await wren.signIn(cast.wren.signInName, SAMPLE_PASSWORD)
    const { items, count } = (await wren.get('/api/evidence?limit=200')).body
    expect(count).toBe(61)
    type Item = {
      kind: string
      rightsState: string
      title: string
      version: { preview: string; place: object | null }
    }
    const having = (test: (item: Item) => boolean) => items.filter(test).length
    const kindCount = (kind: string) => having((item) => item.kind === kind)
    const kinds = ['collage', 'video', 'audio', 'data-table', 'file', 'link', 'note']
    expect(kinds.map(kindCount)).toEqual([1, 1, 2, 2, 3, 2, 2])
    expect(having(({ rightsState }) => rightsState === 'missing')).toBe(1)
    expect(having(({ rightsState }) => rightsState === 'licensed')).toBe(2)
    expect(having(({ kind, version }) => isShownAsPicture(kind) && version.preview !== 'there')).toBe(0)
    expect(having(({ version }) => version.place !== null)).toBe(4)
    expect(items[0].title).toBe('Dawn on the low marsh')
    expect((await wren.get('/api/tray')).body).toHaveLength(6)
    expect((await wren.get('/api/bin')).body.count).toBe(1)
    const sefa = site.browser()
    await sefa.signIn(cast.sefa.signInName, SAMPLE_PASSWORD)
    expect((await sefa.get('/api/evidence')).body.count).toBe(0)
  })

  it('holds pages and logbooks, published and not', async () => {
    const wren = site.browser()
    await wren.signIn(cast.wren.signInName, SAMPLE_PASSWORD)
    const { items } = (await wren.get('/api/pages')).body
    type Item = { publishedAt: string | null; isNewer: boolean }
    const having = (test: (item: Item) => boolean) => items.filter(test).length
    expect(items).toHaveLength(14)
    expect(having(({ publishedAt }) => publishedAt !== null)).toBe(7)
    expect(having(({ publishedAt, isNewer }) => publishedAt !== null && isNewer)).toBe(2)
    const logbooks = (await wren.get('/api/logbooks')).body
    expect(logbooks.map(({ entries }: { entries: number }) => entries).sort()).toEqual([2, 3, 3, 8])
  })

  it('holds self-ratings over a year, on attributes that the school keeps', async () => {
    const wren = site.browser()
    await wren.signIn(cast.wren.signInName, SAMPLE_PASSWORD)
    const [set] = (await wren.get('/api/ratings/sets')).body
    const { items } = (await wren.get(`/api/ratings?setId=${set.id}`)).body
    const attributes = new Set(items.map(({ attributeId }: { attributeId: string }) => attributeId))
    expect([set.title.en, items.length, attributes.size]).toEqual(['Field Attributes', 15, 4])
    const { source, content } = (await wren.get(`/api/attribute-sets/${set.id}/newest`)).body
    expect([source, content.steps.length]).toEqual(['school', 5])
  })

  it('lists its people, those with a part first, and signs in with one click', async () => {
    const browser = site.browser()
    const { people } = (await browser.get('/api/demo')).body
    expect(people.slice(0, 3).map((one: { fullName: string }) => one.fullName)).toEqual([
      'Wren Adeyemi-Holt',
      'Tomasz Ilves-Barr',
      'Sefa Marlowe',
    ])
    expect((await browser.post('/api/demo/session', { personId: people[0].id })).status).toBe(201)
    expect((await browser.get('/api/session')).body.fullName).toBe('Wren Adeyemi-Holt')
    const unknown = { personId: '01890000-0000-7000-8000-000000000000' }
    expect((await browser.post('/api/demo/session', unknown)).status).toBe(404)
  })

  it('has its one click only in a folder that the demo made, on this very machine', () => {
    const count = (state: 'built' | 'building' | null, host: string) =>
      demoRoutes({ dataFolder: folderWith(state), host }, null).length
    expect(count('built', '127.0.0.1')).toBe(2)
    expect(count('built', '0.0.0.0')).toBe(0)
    expect(count('building', '127.0.0.1')).toBe(0)
    expect(count(null, '127.0.0.1')).toBe(0)
  })
})
