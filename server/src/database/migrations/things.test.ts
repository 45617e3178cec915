import {
  makeTestSite,
  allRows,
  copyRows,
  describeEachDatabase,
  openStoredFolder,
} from '../../testing/index.ts'
import { shiftedClock } from '../../system/index.ts'
import { indexEverything } from '../../evidence/index.ts'
import { migrateDown, migrateToLatest, migrateUpTo } from '../index.ts'
import type { Database } from '../index.ts'

const BEFORE = '20261129190000_type_params_of_news'
const MIGRATION = '20261130100000_create_things'
/** Each kind of database indexes words in a way of its own. */
const SEARCH = ['evidenceWords']

describeEachDatabase('things', (open) => {
  async function openStored() {
    const stored = await openStoredFolder('2026-11-30')
    // Some hours after all was made.
    const database = await open({ migrated: false, clock: shiftedClock('2026-11-26T15:00:00.000Z') })
    await migrateUpTo(database, BEFORE)
    await copyRows(stored.database, database)
    return { folder: stored.folder, database }
  }
  type Rows = Awaited<ReturnType<typeof allRows>>
  const idsOf = (rows: Rows, table: string, column = 'id') =>
    (rows[table] ?? []).map((row) => String(row[column])).sort()

  it('are made of all that was stored before there were any, and give it back', async () => {
    const { database } = await openStored()
    const before = await allRows(database, SEARCH)
    await migrateUpTo(database, MIGRATION)
    const after = await allRows(database, SEARCH)
    const tables = ['pages', 'collections', 'logbooks', 'logEntries', 'evidence']
    expect(idsOf(after, 'things')).toEqual(tables.flatMap((table) => idsOf(before, table)).sort())
    for (const table of [
      'passes',
      'reach',
      'feedback',
      'chosenParts',
      'submissionParts',
      'publishedEvidence',
    ])
      expect([table, after[table]?.length]).toEqual([table, before[table]?.length])
    const inBin = (after['things'] ?? []).filter(({ binnedAt }) => binnedAt !== null)
    expect(inBin.map(({ kind }) => kind).sort()).toEqual(['collection', 'entry', 'evidence', 'page'])
    expect(inBin.every(({ isBinned }) => isBinned === 1)).toBe(true)
    await migrateDown(database)
    expect(await allRows(database, SEARCH)).toEqual(before)
  })

  it('hand out on pages what they did, and are known by the files of sealed copies', async () => {
    const { folder, database } = await openStored()
    await migrateToLatest(database)
    const rows = await allRows(database, SEARCH)
    const shown = (rows['publishedPages'] ?? []).map(({ shown: text }) => String(text))
    const items = shown.flatMap((text) => Object.values<{ id: string }>(JSON.parse(text).evidence))
    expect(items.length).toBeGreaterThan(0)
    expect(new Set(idsOf(rows, 'publishedHandOuts', 'evidenceId'))).toEqual(
      new Set(items.map(({ id }) => id)),
    )
    const { wren } = await signInTo(database, folder)
    for (const { pageId, n, pieceId, name } of rows['publishedHandOuts'] ?? []) {
      const path = `/api/pages/${pageId}/published/${n}/pieces/${pieceId}/${name}`
      expect([path, (await wren.get(path)).status]).toEqual([path, 200])
    }
    const files = (rows['sealedFiles'] ?? []).filter(({ path }) => String(path).startsWith('files/'))
    expect(files.length).toBeGreaterThan(0)
    for (const { path, evidenceId, evidenceN } of files)
      expect(String(path)).toMatch(new RegExp(`^files/${evidenceId}-${evidenceN}\\b`))
  })

  it('are what they were on every screen', async () => {
    const { folder, database } = await openStored()
    await migrateToLatest(database)
    const { wren, tomasz } = await signInTo(database, folder)
    const bin = (await wren.get('/api/bin')).body
    expect(bin.items.map(({ title }: { title: string }) => title)).toEqual(
      expect.arrayContaining(['Binned page', 'Binned entry', 'Binned collection']),
    )
    expect(bin.count).toBe(4)
    const { things, places, passes } = (await wren.get('/api/sharing')).body
    const titled = (title: string) => things.find((thing: { title: string }) => thing.title === title)?.id
    const [outer, year, page] = [titled('Outer year'), titled('Shore year'), titled('Transect 3')]
    expect(places).toEqual(
      expect.arrayContaining([
        { containerId: outer, thingId: year, isHidden: false },
        { containerId: year, thingId: page, isHidden: false },
        { containerId: year, thingId: titled('Hidden page'), isHidden: true },
      ]),
    )
    expect(passes).toHaveLength(3)
    const lines = (await tomasz.get(`/api/collections/${outer}/read`)).body.lines
    expect(lines.map(({ title }: { title: string }) => title)).toEqual(['Shore year', 'Autumn', 'Transect 3'])
    const shared = (await tomasz.get('/api/shared-with-me')).body.items
    expect(shared.map(({ title }: { title: string }) => title).sort()).toEqual(['Outer year', 'Transect 3'])
    const news = (await tomasz.get('/api/news')).body.items
    expect(news.some(({ params }: { params: { thingId?: string } }) => params.thingId === page)).toBe(true)
    const published = (await wren.get(`/api/pages/${page}/published`)).body
    expect(published.html).toContain('<p>first</p>')
  })

  it('are handed in, spoken of and used as they were', async () => {
    const { folder, database } = await openStored()
    await migrateToLatest(database)
    const { wren, site } = await signInTo(database, folder)
    const { id } = await site.services.database.reader().sql('submissions').first('id')
    const copy = (await wren.get(`/api/submissions/${id}/check`)).body
    expect(copy).toMatchObject({ agrees: true })
    const part = (await wren.get(`/api/submissions/${id}/parts/1`)).body
    expect(part.html).toContain('<p>first</p>')
    const feedback = JSON.stringify((await wren.get(`/api/submissions/${id}/feedback`)).body)
    expect(feedback).toContain('Which tide?')
    const { items } = (await wren.get('/api/evidence?limit=200')).body
    const map = items.find(
      ({ version }: { version: { fileName: string } }) => version.fileName === 'sheet.jpg',
    )
    const uses = (await wren.get(`/api/things/${map.id}/uses`)).body
    expect(uses.map(({ kind }: { kind: string }) => kind).sort()).toEqual(['evidence', 'page', 'submission'])
  })

  async function signInTo(database: Database, folder: string) {
    const site = makeTestSite(database, [], undefined, {}, folder)
    await indexEverything(site.services)
    const [wren, tomasz] = [site.browser(), site.browser()]
    await wren.signIn('wren')
    await tomasz.signIn('tomasz')
    return { site, wren, tomasz }
  }
})
