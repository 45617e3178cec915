import {
  newEntryPiece,
  newEvidencePiece,
  newLogbookPiece,
  newRecordingPiece,
  newTextPiece,
  textOf,
} from '@valise/core/pages'
import { EVIDENCE_ROW, speakInto, textPieceOf } from '@valise/core/reflections'
import { shippedSheets } from '@valise/core/sheets'
import { v7 as uuidv7 } from 'uuid'
import { inTransaction } from '../database/index.ts'
import { voiceBytes } from '../testing/everyPiece.ts'
import { planEntryIndex } from './index.ts'
import {
  describeEachDatabase,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  upload,
} from '../testing/index.ts'

describeEachDatabase('logbooks', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const wren = site.browser()
    await wren.signIn('wren')
    const logbook = (await wren.post('/api/logbooks', { title: ' Low  water ' })).body
    const begin = async (day: string, title = '') => {
      const { body } = await wren.post(`/api/logbooks/${logbook.id}/entries`, { day, title, lang: 'en' })
      return body
    }
    return { site, wren, logbook, begin }
  }

  it('are begun, renamed, and removed only while they are empty', async () => {
    const { wren, logbook, begin } = await start()
    const path = `/api/logbooks/${logbook.id}`
    const thing = `/api/things/${logbook.id}`
    expect(logbook).toMatchObject({ title: 'Low water', entries: 0, lastDay: null, revision: 1 })
    expect((await wren.patch(path, { title: 'Visits' }, 1)).body.title).toBe('Visits')
    expect((await wren.patch(path, { title: 'Again' }, 1)).status).toBe(412)
    expect((await wren.patch(path, { title: '  ' }, 2)).status).toBe(422)
    const entry = await begin('2026-11-24')
    expect((await wren.delete(thing)).body.reason).toBe('logbook-not-empty')
    await wren.put(`/api/things/${entry.id}/bin`, undefined)
    expect((await wren.get('/api/logbooks')).body).toMatchObject([{ entries: 0 }])
    expect((await wren.delete(thing)).body.reason).toBe('logbook-not-empty')
    await wren.delete(`/api/things/${entry.id}`)
    expect((await wren.delete(thing)).status).toBe(204)
    expect((await wren.get('/api/logbooks')).body).toEqual([])
  })

  it('have a summary, a cover, usual questions and a class, each of which is one’s own', async () => {
    const { site, wren, logbook } = await start()
    const path = `/api/logbooks/${logbook.id}`
    const { body } = await upload(wren, { name: 'q.png', content: await makePicture({ width: 90 }) })
    const coverId = body.outcome.evidenceId
    const school = await site.services.database.reader().sql('classes').select('id', 'name')
    const idOf = (name: string) => school.find((one) => one.name.includes(name))?.id
    const details = {
      summary: 'Five visits',
      coverId,
      usualSheetId: shippedSheets[0]?.id,
      classId: idOf('Methods'),
    }
    expect((await wren.patch(path, details, 1)).body).toMatchObject({ ...details, title: 'Low water' })
    expect((await wren.patch(path, { coverId: logbook.id }, 2)).status).toBe(404)
    expect((await wren.patch(path, { classId: idOf('Crew') }, 2)).status).toBe(404)
    expect((await wren.patch(path, {}, 2)).status).toBe(422)
    expect((await wren.patch(path, { coverId: null }, 2)).body).toMatchObject({ ...details, coverId: null })
  })

  it('list their entries by words, tag, days, questions and what was spoken, either way round', async () => {
    const { site, wren, logbook, begin } = await start()
    const sheetId = shippedSheets[0]?.id
    const first = await begin('2026-11-01', 'Gate frozen')
    const second = await begin('2026-11-08', 'Silt')
    const along = { day: '2026-11-15', title: 'Along questions', lang: 'en', sheetId }
    const third = (await wren.post(`/api/logbooks/${logbook.id}/entries`, along)).body
    await wren.patch(`/api/entries/${first.id}`, { tags: ['Winter', ' winter ', 'gate'] }, 1)
    const words = {
      op: 'set-piece' as const,
      piece: newTextPiece(textPieceOf(second.draft.document)?.id ?? '', textOf('The curlew came back')),
    }
    await sendEdit(wren, `/api/entries/${second.id}`, { base: 1, operations: [words] })
    const voice = (await upload(wren, { name: 'tide.webm', content: voiceBytes })).body.outcome.evidenceId
    await site.services.jobs.drain()
    const beside = newEvidencePiece('v', { id: voice, kind: 'audio' })
    const put = { op: 'insert-piece' as const, rowId: EVIDENCE_ROW, piece: beside, after: null }
    await sendEdit(wren, `/api/entries/${third.id}`, { base: 1, operations: [put] })
    const find = async (query: string) =>
      (await wren.get(`/api/entries?logbookId=${logbook.id}&${query}`)).body.items.map(
        ({ title }: { title: string }) => title,
      )
    expect(await find('')).toEqual(['Along questions', 'Silt', 'Gate frozen'])
    expect(await find('order=oldest')).toEqual(['Gate frozen', 'Silt', 'Along questions'])
    expect(await find('words=curlew')).toEqual(['Silt'])
    expect(await find('words=frozen%20gat')).toEqual(['Gate frozen'])
    expect(await find('tag=WINTER')).toEqual(['Gate frozen'])
    expect(await find('from=2026-11-02&until=2026-11-08')).toEqual(['Silt'])
    expect(await find(`sheetId=${sheetId}`)).toEqual(['Along questions'])
    expect(await find('mark=spoken')).toEqual(['Along questions'])
    // With a word beside it, a recording is evidence of what is written.
    const more = textPieceOf(third.draft.document)?.id ?? ''
    const said = { op: 'set-piece' as const, piece: newTextPiece(more, textOf('Listen')) }
    await sendEdit(wren, `/api/entries/${third.id}`, { base: 2, operations: [said] })
    expect(await find('mark=spoken')).toEqual([])
    const silent = { op: 'set-piece' as const, piece: newTextPiece(more) }
    await sendEdit(wren, `/api/entries/${third.id}`, { base: 3, operations: [silent] })
    const told = newRecordingPiece(uuidv7(), { id: voice }, [{ atMs: 900, words: 'The sluice opens' }])
    const operations = speakInto(second.draft.document, told)
    expect((await sendEdit(wren, `/api/entries/${second.id}`, { base: 2, operations })).status).toBe(200)
    expect(await find('mark=spoken')).toEqual(['Along questions', 'Silt'])
    expect(await find('words=sluice')).toEqual(['Silt'])
    expect(await find('mark=feedback')).toEqual([])
    const facets = (await wren.get(`/api/logbooks/${logbook.id}/facets?until=2026-11-15`)).body
    expect(facets).toMatchObject({
      tags: [
        { tag: 'gate', count: 1 },
        { tag: 'Winter', count: 1 },
      ],
      sheets: [{ id: sheetId, count: 1 }],
      days: [{ day: '2026-11-01' }, { day: '2026-11-08' }, { day: '2026-11-15', count: 1 }],
      ...{ firstDay: '2026-11-01', lastDay: '2026-11-15' },
    })
    const page = (await wren.get('/api/entries?order=oldest&limit=2')).body
    expect(
      (await wren.get(`/api/entries?order=oldest&limit=2&cursor=${page.next}`)).body.items,
    ).toMatchObject([{ title: 'Along questions', isSpoken: true }])
  })

  it('are read through, entry after entry with what each shows', async () => {
    const { wren, logbook, begin } = await start()
    for (const day of ['2026-11-01', '2026-11-08']) await begin(day, `Visit ${day}`)
    const { body } = await wren.get(`/api/entries/reading?logbookId=${logbook.id}&order=oldest`)
    expect(body).toMatchObject({ items: [{ day: '2026-11-01' }, { day: '2026-11-08' }], next: null })
    expect(body.items[0].document.rows).toHaveLength(2)
  })

  it('take in entries of another logbook, several at once or none of them', async () => {
    const { wren, logbook, begin } = await start()
    const [first, second] = [await begin('2026-11-01'), await begin('2026-11-08')]
    const other = (await wren.post('/api/logbooks', { title: 'Winter' })).body
    const move = (ids: string[]) => wren.post('/api/entries/moved', { ids, logbookId: other.id })
    expect((await move([first.id, logbook.id])).status).toBe(404)
    expect((await wren.get('/api/logbooks')).body).toMatchObject([{ entries: 2 }, { entries: 0 }])
    expect((await move([first.id, second.id])).status).toBe(204)
    expect((await wren.get('/api/logbooks')).body).toMatchObject([{ entries: 0 }, { entries: 2 }])
  })

  it('find entries by their words that were written before there was an index', async () => {
    const { site, wren, begin } = await start()
    await begin('2026-11-01', 'Gate frozen')
    const { database } = site.services
    await inTransaction(database, async ({ sql }) => {
      await sql('logEntries').update({ searchRow: 0 })
    })
    const find = async () => (await wren.get('/api/entries?words=frozen')).body.count
    expect(await find()).toBe(0)
    await planEntryIndex(site.services)
    await site.services.jobs.drain()
    expect(await find()).toBe(1)
  })

  it('keep what is written in an entry, beside its evidence, and tell of it in the list', async () => {
    const { site, wren, logbook, begin } = await start()
    const { body } = await upload(wren, { name: 'q.png', content: await makePicture({ width: 90 }) })
    await site.services.jobs.drain()
    const entry = await begin('2026-11-20', 'At stake 4')
    const piece = textPieceOf(entry.draft.document)
    const picture = newEvidencePiece('q', { id: body.outcome.evidenceId, kind: 'picture' })
    const path = `/api/entries/${entry.id}`
    const saved = await sendEdit(wren, path, {
      base: 1,
      operations: [
        {
          op: 'set-piece',
          piece: newTextPiece(piece?.id ?? '', textOf('The bank is bare.', 'I was wrong.')),
        },
        { op: 'insert-piece', rowId: EVIDENCE_ROW, piece: picture, after: null },
      ],
    })
    expect(saved.status).toBe(200)
    const list = await wren.get(`/api/entries?logbookId=${logbook.id}`)
    expect(list.body.items).toMatchObject([
      { title: 'At stake 4', beginning: 'The bank is bare. I was wrong.', words: 7, evidence: 1 },
    ])
    expect((await wren.get(`/api/things/${body.outcome.evidenceId}/uses`)).body).toEqual([
      { kind: 'entry', id: entry.id, title: 'At stake 4' },
    ])
    expect((await wren.get(path)).body.draft.shown.evidence.q).toMatchObject({ hasPicture: true })
  })

  it('stand in the order of their days, which can be mended', async () => {
    const { wren, begin } = await start()
    const early = await begin('2026-11-01', 'early')
    await begin('2026-11-10', 'late')
    const titles = async () =>
      (await wren.get('/api/entries?limit=1')).body.items.map(({ title }: { title: string }) => title)
    expect(await titles()).toEqual(['late'])
    await wren.patch(`/api/entries/${early.id}`, { day: '2026-11-12' }, 1)
    expect(await titles()).toEqual(['early'])
    expect((await wren.patch(`/api/entries/${early.id}`, { day: '2026-11-12' }, 1)).status).toBe(412)
    expect((await wren.patch(`/api/entries/${early.id}`, { day: '30 Nov' }, 2)).status).toBe(422)
    const first = (await wren.get('/api/entries?limit=1')).body
    const second = (await wren.get(`/api/entries?limit=1&cursor=${first.next}`)).body
    expect([second.items[0].title, second.next, second.count]).toEqual(['late', null, 2])
  })

  it('show an entry on a page as it was when the page was published', async () => {
    const { wren, begin } = await start()
    const entry = await begin('2026-11-20', 'At stake 4')
    const textId = textPieceOf(entry.draft.document)?.id ?? ''
    const write = (words: string, base: number) =>
      sendEdit(wren, `/api/entries/${entry.id}`, {
        base,
        operations: [{ op: 'set-piece', piece: newTextPiece(textId, textOf(words)) }],
      })
    await write('bare', 1)
    const page = (await wren.post('/api/pages', { title: 'P', lang: 'en' })).body.id
    const piece = newEntryPiece('e', entry.id)
    const row = { id: 'r', pieces: [piece] }
    await sendEdit(wren, `/api/pages/${page}`, {
      base: 1,
      operations: [{ op: 'insert-row', row, after: null }],
    })
    await wren.ask('POST', `/api/pages/${page}/published`, undefined, { 'if-match': '"r2"' })
    await write('grown', 2)
    const html = (await wren.get(`/api/pages/${page}/published`)).body.html
    expect(html).toContain('<p>bare</p>')
    const present = (await wren.get(`/api/pages/${page}`)).body
    expect(JSON.stringify(present.draft.shown)).toContain('grown')
    // What its author puts into the bin is shown no more, there too.
    await wren.put(`/api/things/${entry.id}/bin`, undefined)
    const after = (await wren.get(`/api/pages/${page}/published`)).body.html
    expect(after).not.toContain('bare')
    expect(after).toContain('This is not shown any more.')
  })

  onSqlite('give each person a device key of their own, and the same one again', async () => {
    const { site, wren } = await start()
    const kit = site.browser()
    await kit.signIn('kit')
    const keyOf = async (browser: typeof wren) => (await browser.get('/api/session/device-key')).body.key
    expect(await keyOf(wren)).toBe(await keyOf(wren))
    expect(await keyOf(wren)).not.toBe(await keyOf(kit))
    expect(Buffer.from(await keyOf(wren), 'base64url')).toHaveLength(32)
  })

  it('stand on a page with the entries that are wanted, as they were when it was published', async () => {
    const { wren, site, logbook, begin } = await start()
    const first = await begin('2026-11-01', 'Gate frozen')
    await begin('2026-11-08', 'Silt')
    const last = await begin('2026-11-15', 'Thaw')
    await wren.patch(`/api/entries/${first.id}`, { tags: ['Winter'] }, 1)
    const page = (await wren.post('/api/pages', { title: 'My year', lang: 'en' })).body.id
    const path = `/api/pages/${page}`
    const show = async (base: number, choice: object) => {
      const piece = { ...newLogbookPiece('book', logbook.id), ...choice }
      const insert = { op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }
      const operation = base === 1 ? insert : { op: 'set-piece' as const, piece }
      expect((await sendEdit(wren, path, { base, operations: [operation] })).status).toBe(200)
      const { entries, logbooks } = (await wren.get(path)).body.draft.shown
      const [one] = Object.values<{ title: string; entryIds: string[] }>(logbooks)
      expect(one?.title).toBe(logbook.title)
      return one?.entryIds.map((id) => entries[id].title)
    }
    expect(await show(1, {})).toEqual(['Thaw', 'Silt', 'Gate frozen'])
    expect(await show(2, { order: 'oldest', most: 2 })).toEqual(['Gate frozen', 'Silt'])
    expect(await show(3, { tag: 'WINTER' })).toEqual(['Gate frozen'])
    expect(await show(4, { from: '2026-11-02', until: '2026-11-08' })).toEqual(['Silt'])
    expect(await show(5, {})).toEqual(['Thaw', 'Silt', 'Gate frozen'])
    expect((await wren.get(`/api/things/${logbook.id}/uses`)).body).toMatchObject([
      { kind: 'page', id: page },
    ])

    expect((await wren.ask('POST', `${path}/published`, undefined, { 'if-match': '"r6"' })).status).toBe(201)
    const later = {
      op: 'set-piece' as const,
      piece: newTextPiece(textPieceOf(last.draft.document)?.id ?? '', textOf('Written later')),
    }
    await sendEdit(wren, `/api/entries/${last.id}`, { base: 1, operations: [later] })
    const { draft, published } = (await wren.get(path)).body
    expect(JSON.stringify(draft.shown)).toContain('Written later')
    expect(JSON.stringify(published.shown)).not.toContain('Written later')

    const tomasz = site.browser()
    await tomasz.signIn('tomasz')
    const theirs = (await tomasz.post('/api/pages', { title: 'Not mine', lang: 'en' })).body.id
    const piece = newLogbookPiece('book', logbook.id)
    const insert = { op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }
    expect((await sendEdit(tomasz, `/api/pages/${theirs}`, { base: 1, operations: [insert] })).status).toBe(
      404,
    )
  })
})
