import {
  answerIn,
  describeEachDatabase,
  sealedVisits,
  setGuide,
  startGuide,
  startGuideSite,
  twoVisits,
  upload,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const todayOf = async (browser: TestBrowser) => (await browser.get('/api/today/stages')).body

describeEachDatabase('today', (open) => {
  it('names the stage that is open of each guide, begun or not, until it is done', async () => {
    const { odalys, wren, tomasz, methods } = await startGuideSite(open)
    const guide = await setGuide(odalys, [methods])
    const due = await setGuide(odalys, [methods], { ...sealedVisits, title: { en: 'One bank' } })
    expect((await todayOf(odalys)).stages).toEqual([])
    expect((await todayOf(wren)).stages).toMatchObject([
      { guideId: due, copyId: null, dueAt: '2026-11-27T17:00:00.000Z', isHandedIn: true },
      {
        ...{
          guideId: guide,
          copyId: null,
          stageId: '1',
          dueAt: null,
          isHandedIn: false,
          required: 1,
          open: 1,
        },
        questions: [
          { id: 'stake', kind: 'short', weight: 'must' },
          { id: 'photo' },
          { id: 'visit', kind: 'entry' },
        ],
      },
    ])
    const copy = await startGuide(wren, guide)
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect((await todayOf(wren)).stages[1]).toMatchObject({ copyId: copy, stageId: '2' })
    await answerIn(wren, copy, 'changed', { text: 'silt' })
    expect((await todayOf(wren)).stages).toMatchObject([{ guideId: due }])
    expect((await todayOf(tomasz)).stages).toHaveLength(2)
  })

  it('leaves what was handed in by itself, and what has ended', async () => {
    const { odalys, wren, methods, goTo } = await startGuideSite(open)
    const guide = await setGuide(odalys, [methods], sealedVisits)
    const other = await setGuide(odalys, [methods], { ...twoVisits, title: { en: 'One bank' } })
    await answerIn(wren, await startGuide(wren, guide), 'stake', { text: 'B7' })
    await startGuide(wren, other)
    await odalys.put(
      `/api/guides/${other}/offers`,
      { classIds: [] },
      (await odalys.get(`/api/guides/${other}`)).body.revision,
    )
    expect((await todayOf(wren)).stages).toMatchObject([{ guideId: guide, stageId: '2' }])
    await goTo('2026-11-27T17:01:00.000Z')
    expect((await todayOf(wren)).stages).toEqual([])
  })

  it('counts what one wrote and gathered since Monday, and nothing of the bin or of others', async () => {
    const { wren, tomasz, goTo } = await startGuideSite(open)
    const { id: logbookId } = (await wren.post('/api/logbooks', { title: 'Shore' })).body
    const write = async (day: string): Promise<string> =>
      (await wren.post(`/api/logbooks/${logbookId}/entries`, { day, title: '', lang: 'en' })).body.id
    await write('2026-11-22')
    await write('2026-11-23')
    const binned = await write('2026-11-26')
    await upload(wren, { name: 'tides.txt', content: Buffer.from('low water at nine') })
    await wren.put('/api/bin', { ids: [binned] })
    const week = async () => (await todayOf(wren)).week
    expect(await week()).toEqual({
      ...{ from: '2026-11-23', until: '2026-11-29', endsAt: '2026-11-30T00:00:00.000Z' },
      ...{ entries: 1, evidence: 1 },
    })
    expect((await todayOf(tomasz)).week).toMatchObject({ entries: 0, evidence: 0 })
    await goTo('2026-11-30T09:00:00.000Z')
    expect(await week()).toMatchObject({ from: '2026-11-30', entries: 0, evidence: 0 })
  })

  it('tells of the week unless that was switched off', async () => {
    const { wren } = await startGuideSite(open)
    expect((await wren.get('/api/session')).body.showsWeek).toBe(true)
    expect((await wren.patch('/api/preferences', { showsWeek: false })).body.showsWeek).toBe(false)
    expect((await wren.get('/api/session')).body).toMatchObject({ showsWeek: false, letterKeys: true })
  })
})
