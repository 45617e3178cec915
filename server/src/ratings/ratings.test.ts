import { newEvidencePiece, textOf } from '@valise/core/pages'
import type { AnswerPiece, ChosenStep, Operation } from '@valise/core/pages'
import type { RatingList } from '@valise/core/ratings'
import { answersOf } from '@valise/core/reflections'
import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../system/index.ts'
import {
  describeEachDatabase,
  fieldAttributes,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  TEST_START,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const DAY = 24 * 60

describeEachDatabase('self-ratings', (open) => {
  async function start() {
    let minutes = 0
    const ticking = shiftedClock(TEST_START)
    const site = makeTestSite(await open({ clock: { now: () => addMinutes(ticking.now(), minutes) } }))
    const school = await makeSmallSchool(site.services)
    const [odalys, wren, tomasz] = [site.browser(), site.browser(), site.browser()]
    await odalys.signIn('odalys')
    await wren.signIn('wren')
    await tomasz.signIn('tomasz')
    const { id: setId } = (await odalys.post('/api/attribute-sets', { title: { en: 'Field' } })).body
    const set = `/api/attribute-sets/${setId}`
    await odalys.put(set, { content: fieldAttributes }, 1)
    await odalys.ask('POST', `${set}/versions`, {}, { 'if-match': '"r2"' })
    await odalys.put(`${set}/offers`, { classIds: [school.classes.methods] }, 3)
    const { id: logbookId } = (await wren.post('/api/logbooks', { title: 'Visits' })).body
    const begin = async (day: string, attributeIds: string[] = []) => {
      const body = { day, title: 'At the stake', lang: 'en', rates: { setId, attributeIds } }
      return (await wren.post(`/api/logbooks/${logbookId}/entries`, body)).body.id as string
    }
    /** Whoever was signed in is signed out by then. */
    const passDays = async (days: number) => {
      minutes += days * DAY
      await wren.signIn('wren')
    }
    return { site, school, odalys, wren, tomasz, setId, set, logbookId, begin, passDays }
  }
  type Started = Awaited<ReturnType<typeof start>>

  const answersIn = async (browser: TestBrowser, entry: string) => {
    const { draft } = (await browser.get(`/api/entries/${entry}`)).body
    return { draft, answers: answersOf(draft.document) }
  }
  const chosen = (place: number): ChosenStep => ({
    ...{ id: `s${place}`, label: fieldAttributes.steps[place - 1]?.label ?? {}, place, of: 3 },
  })
  async function rate(browser: TestBrowser, entry: string, step: number | null, reason: string, n = 0) {
    const { draft, answers } = await answersIn(browser, entry)
    const piece = answers[n]?.piece
    if (!piece) throw new Error('nothing is asked')
    const answer = { step: step === null ? null : chosen(step), reason }
    const rated = { ...piece, given: { ...piece.given, answer } } as AnswerPiece
    const edit = { base: draft.revision, operations: [{ op: 'set-piece' as const, piece: rated }] }
    expect((await sendEdit(browser, `/api/entries/${entry}`, edit)).status).toBe(200)
    return rated
  }
  const told = async ({ wren, setId }: Pick<Started, 'wren' | 'setId'>) =>
    ((await wren.get(`/api/ratings?setId=${setId}`)).body as RatingList).items.map(
      ({ day, attributeId, step, reason }) => [day, attributeId, step.place, reason],
    )

  it('are asked for in a new entry about all attributes of a set, or about some', async () => {
    const started = await start()
    const names = async (entry: string) =>
      (await answersIn(started.wren, entry)).answers.map(({ piece }) => piece.given.question.asks.en)
    expect(await names(await started.begin('2026-11-20'))).toEqual(['Noticing', 'Asking before acting'])
    expect(await names(await started.begin('2026-11-20', ['ask', 'no-such']))).toEqual([
      'Asking before acting',
    ])
    await started.odalys.put(`${started.set}/offers`, { classIds: [] }, 4)
    // A set that is no longer offered is no reason to write nothing.
    expect(await names(await started.begin('2026-11-20'))).toEqual([])
  })

  it('are told over time with where they stand, and to nobody else', async () => {
    const started = await start()
    const { wren, tomasz, setId } = started
    const later = await started.begin('2026-11-22')
    const earlier = await started.begin('2026-11-02')
    await rate(wren, later, 3, 'I saw the plover before it flew.')
    await rate(wren, earlier, 1, 'I looked at my feet.')
    await rate(wren, earlier, null, 'I have not decided.', 1)
    expect(await told(started)).toEqual([
      ['2026-11-02', 'notice', 1, 'I looked at my feet.'],
      ['2026-11-22', 'notice', 3, 'I saw the plover before it flew.'],
    ])
    const { items } = (await wren.get(`/api/ratings?setId=${setId}`)).body as RatingList
    expect(items[1]).toMatchObject({
      ...{ thingId: later, thingKind: 'entry', thingTitle: 'At the stake', name: { en: 'Noticing' } },
      step: { label: { en: 'On my own' }, of: 3 },
    })
    expect((await wren.get('/api/ratings/sets')).body).toEqual([
      { id: setId, title: fieldAttributes.title, ratings: 2, lastDay: '2026-11-22' },
    ])
    expect((await tomasz.get(`/api/ratings?setId=${setId}`)).body.items).toEqual([])
    expect((await tomasz.get('/api/ratings/sets')).body).toEqual([])
  })

  it('are never written over after their day', async () => {
    const started = await start()
    const entry = await started.begin('2026-11-20')
    await rate(started.wren, entry, 1, 'A slip')
    await rate(started.wren, entry, 2, 'With Odalys')
    expect(await told(started)).toEqual([['2026-11-20', 'notice', 2, 'With Odalys']])
    await started.passDays(3)
    await rate(started.wren, entry, 3, 'Alone at low water')
    const [first, second] = await told(started)
    expect(first).toEqual(['2026-11-20', 'notice', 2, 'With Odalys'])
    expect(second?.slice(1)).toEqual(['notice', 3, 'Alone at low water'])
    // The day of the entry is that of what was told in it first.
    const { revision } = (await started.wren.get(`/api/entries/${entry}`)).body
    await started.wren.patch(`/api/entries/${entry}`, { day: '2026-11-11' }, revision)
    expect((await told(started)).map(([day]) => day)).toEqual(['2026-11-11', second?.[0]])
  })

  it('go with what they stand in, and come back with it', async () => {
    const started = await start()
    const { wren } = started
    const entry = await started.begin('2026-11-20')
    await rate(wren, entry, 2, 'With Odalys')
    await wren.put(`/api/things/${entry}/bin`, undefined)
    expect(await told(started)).toEqual([])
    await wren.delete(`/api/things/${entry}/bin`)
    expect(await told(started)).toHaveLength(1)

    const { draft, answers } = await answersIn(wren, entry)
    const id = answers[0]?.piece.id ?? ''
    const row = draft.document.rows.find((one: { id: string }) => one.id === id)
    const edit = (operations: Operation[], base: number) =>
      sendEdit(wren, `/api/entries/${entry}`, { base, operations })
    await edit([{ op: 'remove-row', rowId: id }], draft.revision)
    expect(await told(started)).toEqual([])
    await edit([{ op: 'insert-row', row, after: null }], draft.revision + 1)
    expect(await told(started)).toEqual([['2026-11-20', 'notice', 2, 'With Odalys']])
  })

  it('stay as they are when their set changes, goes, or is offered no more', async () => {
    const started = await start()
    const { odalys, wren, set, setId } = started
    await rate(wren, await started.begin('2026-11-20'), 2, 'With Odalys')
    const attributes = fieldAttributes.attributes.slice(1)
    await odalys.put(set, { content: { ...fieldAttributes, title: { en: 'Other' }, attributes } }, 4)
    await odalys.ask('POST', `${set}/versions`, {}, { 'if-match': '"r5"' })
    await odalys.put(`/api/things/${setId}/bin`, undefined)
    expect(await told(started)).toEqual([['2026-11-20', 'notice', 2, 'With Odalys']])
    expect((await wren.get('/api/ratings/sets')).body[0].title).toEqual(fieldAttributes.title)
  })

  it('have the evidence that stands beside them', async () => {
    const started = await start()
    const { wren, setId } = started
    const note = (await wren.post('/api/notes', { text: textOf('A plover'), landing: {} })).body.id
    const entry = await started.begin('2026-11-20')
    const { id } = await rate(wren, entry, 2, 'With Odalys')
    const { draft } = await answersIn(wren, entry)
    const piece = newEvidencePiece('note', { id: note, kind: 'note' }, 6)
    const operations = [{ op: 'insert-piece' as const, rowId: id, piece, after: id }]
    const answer = await sendEdit(wren, `/api/entries/${entry}`, { base: draft.revision, operations })
    expect(answer.status).toBe(200)
    const { items } = (await wren.get(`/api/ratings?setId=${setId}`)).body as RatingList
    expect(items[0]?.evidenceIds).toEqual([note])
  })

  it('are fetched page by page', async () => {
    const started = await start()
    const { wren, setId } = started
    for (const day of ['2026-11-03', '2026-11-01', '2026-11-02'])
      await rate(wren, await started.begin(day, ['notice']), 1, day)
    const days: string[] = []
    for (let cursor: string | null = ''; cursor !== null;) {
      const more: string = cursor === '' ? '' : `&cursor=${cursor}`
      const page: RatingList = (await wren.get(`/api/ratings?setId=${setId}&limit=2${more}`)).body
      days.push(...page.items.map(({ day }) => day))
      cursor = page.next
    }
    expect(days).toEqual(['2026-11-01', '2026-11-02', '2026-11-03'])
  })

  it('can be asked for in what is said of an item, which they lead to', async () => {
    const started = await start()
    const { wren, setId } = started
    const note = (await wren.post('/api/notes', { text: textOf('A plover'), landing: {} })).body.id
    const path = `/api/evidence/${note}/statement`
    await wren.post(path, { lang: 'en' })
    const rated = (await answersIn(wren, await started.begin('2026-11-20'))).answers[0]?.piece
    if (!rated) throw new Error('nothing is asked')
    const given = { ...rated.given, answer: { step: chosen(3), reason: 'Look' } }
    const row = { id: 'r', pieces: [{ ...rated, id: 'r', given } as AnswerPiece] }
    const operations = [{ op: 'insert-row' as const, row, after: null }]
    expect((await sendEdit(wren, path, { base: 1, operations })).status).toBe(200)
    const { items } = (await wren.get(`/api/ratings?setId=${setId}`)).body as RatingList
    expect(items).toMatchObject([{ thingId: note, thingKind: 'evidence', step: { place: 3 } }])
  })
})
