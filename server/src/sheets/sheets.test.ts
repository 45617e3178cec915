import type { OfferedRow } from '@valise/core/offers'
import { fieldOf } from '@valise/core/pages'
import type { Question } from '@valise/core/pages'
import { shippedSheets } from '@valise/core/sheets'
import { describeEachDatabase, makeSmallSchool, makeTestSite, sendEdit } from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const asks = (id: string, words: string): Question => ({
  ...fieldOf({ kind: 'long' }).create(id),
  asks: { en: words },
})

const content = (...questions: Question[]) => ({
  content: { title: { en: 'At the stake' }, about: {}, questions },
})

describeEachDatabase('question sheets', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const browserOf = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const [odalys, wren] = [await browserOf('odalys'), await browserOf('wren')]
    const begin = async (browser: TestBrowser) =>
      `/api/sheets/${(await browser.post('/api/sheets', { title: { en: 'At the stake' } })).body.id}`
    return { site, school, odalys, wren, browserOf, begin }
  }

  const publish = (browser: TestBrowser, path: string, revision: number) =>
    browser.ask('POST', `${path}/versions`, {}, { 'if-match': `"r${revision}"` })
  const titles = async (browser: TestBrowser, source: OfferedRow['source']) =>
    ((await browser.get('/api/sheets')).body as OfferedRow[])
      .filter((row) => row.source === source)
      .map(({ title }) => title.en)

  it('ship for everybody, and can be copied and changed', async () => {
    const { wren } = await start()
    expect(await titles(wren, 'shipped')).toEqual(shippedSheets.map((sheet) => sheet.content.title.en))
    const [first] = shippedSheets
    const copy = (await wren.post('/api/sheets', { title: { en: 'Mine' }, from: first?.id })).body
    expect(copy.content).toEqual({ ...first?.content, title: { en: 'Mine' } })
    expect((await wren.get(`/api/sheets/${first?.id}`)).status).toBe(404)
    expect((await wren.get(`/api/sheets/${first?.id}/newest`)).body).toEqual(first)
  })

  it('are published version by version, and only when nothing is lacking', async () => {
    const { odalys, begin } = await start()
    const path = await begin(odalys)
    expect((await publish(odalys, path, 1)).body.reason).toBe('sheet-lacks-questions')
    await odalys.put(path, content(asks('a', 'What did you see?'), asks('b', '')), 1)
    const refused = await publish(odalys, path, 2)
    expect([refused.status, refused.body.reason, refused.body.params]).toEqual([
      ...[422, 'sheet-lacks-words'],
      { question: 2 },
    ])
    await odalys.put(path, content(asks('a', 'What did you see?')), 2)
    expect((await publish(odalys, path, 3)).body).toMatchObject({ n: 1, isNewer: false, revision: 4 })
    // Publishing what is published already makes no version.
    expect((await publish(odalys, path, 4)).body).toMatchObject({ n: 1 })
    const changed = (await odalys.put(path, content(asks('a', 'What else did you see?')), 5)).body
    expect(changed).toMatchObject({ n: 1, isNewer: true })
    expect((await odalys.get(`${path}/newest`)).body.content.questions[0].asks.en).toBe('What did you see?')
    const back = (await odalys.put(path, content(asks('a', 'What did you see?')), 6)).body
    expect(back.isNewer).toBe(false)
    expect((await odalys.put(path, content(), 6)).status).toBe(412)
  })

  it('reach the classes that they are offered to, in their newest version, and nobody else', async () => {
    const { school, odalys, wren, browserOf, begin } = await start()
    const path = await begin(odalys)
    const offer = (classIds: string[], revision: number) =>
      odalys.put(`${path}/offers`, { classIds }, revision)
    expect((await offer([school.classes.methods], 1)).body.reason).toBe('not-published')
    await odalys.put(path, content(asks('a', 'What did you see?')), 1)
    await publish(odalys, path, 2)
    expect(await titles(wren, 'class')).toEqual([])
    expect((await wren.get(`${path}/newest`)).status).toBe(404)
    expect((await offer([school.classes.crew], 3)).status).toBe(404)
    expect((await offer([school.classes.methods], 3)).body.offers).toEqual([school.classes.methods])
    const [row] = ((await wren.get('/api/sheets')).body as OfferedRow[]).filter(
      ({ source }) => source === 'class',
    )
    expect(row).toMatchObject({ title: { en: 'At the stake' }, size: 1, n: 1, ownerName: 'Odalys Fenn' })
    // What is being written is nobody else's.
    await odalys.put(path, content(asks('a', 'Half a quest')), 4)
    expect((await wren.get(`${path}/newest`)).body.content.questions[0].asks.en).toBe('What did you see?')
    expect((await wren.get(path)).status).toBe(404)
    expect(await titles(await browserOf('mireille'), 'class')).toEqual([])
    await offer([], 5)
    expect(await titles(wren, 'class')).toEqual([])
  })

  it('in the bin are offered no more, and cannot be changed', async () => {
    const { school, odalys, wren, begin } = await start()
    const path = await begin(odalys)
    await odalys.put(path, content(asks('a', 'What did you see?')), 1)
    await publish(odalys, path, 2)
    await odalys.put(`${path}/offers`, { classIds: [school.classes.methods] }, 3)
    await odalys.put(`/api/things/${path.split('/').at(-1)}/bin`, undefined)
    expect(await titles(wren, 'class')).toEqual([])
    const { body } = await odalys.get(path)
    expect(body.binnedAt).not.toBeNull()
    expect((await odalys.put(path, content(), body.revision)).body.reason).toBe('in-the-bin')
  })

  it('leave what was answered readable when they change, and when they go', async () => {
    const { school, odalys, wren, begin } = await start()
    const path = await begin(odalys)
    const sheetId = path.split('/').at(-1) ?? ''
    await odalys.put(path, content(asks('a', 'What did you see?'), asks('b', 'Why?')), 1)
    await publish(odalys, path, 2)
    await odalys.put(`${path}/offers`, { classIds: [school.classes.methods] }, 3)
    const logbook = (await wren.post('/api/logbooks', { title: 'Visits' })).body.id
    const day = { day: '2026-11-24', title: '', lang: 'en' }
    const entry = (await wren.post(`/api/logbooks/${logbook}/entries`, { ...day, sheetId })).body
    const [row] = entry.draft.document.rows
    expect(entry.draft.document.sheet).toEqual({ id: sheetId, n: 1, title: { en: 'At the stake' } })
    const [asked] = row.pieces
    const answer = { text: { type: 'doc', content: [paragraph('Bare mud')] } }
    const piece = { ...asked, given: { ...asked.given, answer } }
    const edit = { base: 1, operations: [{ op: 'set-piece' as const, piece }] }
    expect((await sendEdit(wren, `/api/entries/${entry.id}`, edit)).status).toBe(200)
    expect((await wren.get('/api/entries')).body.items[0]).toMatchObject({
      ...{ sheet: { id: sheetId, title: { en: 'At the stake' } }, asked: 2, answered: 1 },
      beginning: 'Bare mud',
    })
    await odalys.put(path, content(asks('b', 'Why so?')), 4)
    await publish(odalys, path, 5)
    await odalys.put(`/api/things/${sheetId}/bin`, undefined)
    await odalys.delete(`/api/things/${sheetId}`)
    const { document } = (await wren.get(`/api/entries/${entry.id}`)).body.draft
    expect(document.rows[0].pieces[0].given.question.asks).toEqual({ en: 'What did you see?' })
    // One that is there no more does not keep anybody from writing.
    const later = await wren.post(`/api/logbooks/${logbook}/entries`, { ...day, sheetId })
    expect([later.status, later.body.draft.document.sheet]).toEqual([201, undefined])
  })

  onSqlite('have up to 200 questions, all of which an entry takes up at once', async () => {
    const { odalys, begin } = await start()
    const path = await begin(odalys)
    const many = Array.from({ length: 200 }, (_, n) => asks(`q${n}`, `Question ${n}?`))
    expect((await odalys.put(path, content(...many), 1)).status).toBe(200)
    expect((await odalys.put(path, content(...many, asks('q200', 'One more?')), 2)).status).toBe(422)
    expect((await publish(odalys, path, 2)).status).toBe(200)
    const logbook = (await odalys.post('/api/logbooks', { title: 'Visits' })).body.id
    const body = { day: '2026-11-24', title: '', lang: 'en', sheetId: path.split('/').at(-1) }
    const entry = (await odalys.post(`/api/logbooks/${logbook}/entries`, body)).body
    expect(entry.draft.document.rows).toHaveLength(202)
  })
})

const paragraph = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] })
