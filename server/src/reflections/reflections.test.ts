import { newEntryPiece, newEvidencePiece, newTextPiece, textOf } from '@valise/core/pages'
import { EVIDENCE_ROW, textPieceOf } from '@valise/core/reflections'
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
})
