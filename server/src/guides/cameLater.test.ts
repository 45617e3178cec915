import type { AnswerPiece, Operation } from '@valise/core/pages'
import {
  addTextRow,
  answer,
  answerIn,
  askedIn,
  copyOf,
  describeEachDatabase,
  handInChosen,
  progressOf,
  sendEdit,
  setGuide,
  startGuide,
  startGuideSite,
  startSealedGuide,
  studentIn,
  twoVisits,
  writeText,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

const DUE = '2026-11-27T17:00:00.000Z'
const at = (time: string) => `2026-11-27T${time}:00.000Z`

describeEachDatabase('what was written without a connection before a guide was due', (open) => {
  async function startSealed() {
    const started = await startSealedGuide(open)
    const { wren } = started
    const htmlOf = async (id: string) => (await wren.get(`/api/submissions/${id}/parts/1`)).body.html
    return { ...started, htmlOf }
  }

  /** Sends what a device held: an answer with the moment at which it was written. */
  async function sendHeld(
    student: TestBrowser,
    copyId: string,
    questionId: string,
    text: string,
    writtenAt: string,
  ) {
    const copy = await copyOf(student, copyId)
    const { piece } = askedIn(copy, questionId)
    const operations: Operation[] = [
      { op: 'set-piece', piece: { ...piece, given: { ...piece.given, answer: { text } } } as AnswerPiece },
    ]
    const path = `/api/guide-copies/${copyId}`
    expect((await sendEdit(student, path, { base: copy.draft.revision, operations, writtenAt })).status).toBe(
      200,
    )
  }

  it('counts: it is handed in again as of the due time, and what was written after it is not', async () => {
    const { odalys, wren, goTo, copy, submissions, htmlOf } = await startSealed()
    await goTo(at('17:10'))
    const [first] = await submissions()
    await answerIn(wren, copy, 'page', { pages: [] })
    await goTo(at('17:40'))
    await sendHeld(wren, copy, 'stake', 'B8, moved by the tide', at('16:50'))
    await sendHeld(wren, copy, 'changed', 'written after it was due', at('17:20'))
    // More may come from the device.
    await goTo('2026-11-27T17:40:30.000Z')
    expect(await submissions()).toHaveLength(1)
    await goTo(at('17:42'))
    const [second, replaced] = await submissions()
    expect(second).toMatchObject({
      ...{ n: 2, state: 'with-assessor', byItself: true, requestedAt: DUE, lateMinutes: 0, gaps: 1 },
      cameAt: expect.stringContaining('2026-11-27T17:40'),
    })
    expect(replaced).toMatchObject({ id: first.id, n: 1, state: 'replaced', cameAt: null })
    expect(await htmlOf(second.id)).toContain('B8, moved by the tide')
    expect(await htmlOf(second.id)).not.toContain('after it was due')
    expect(await htmlOf(first.id)).toContain('<p>B7</p>')
    const { receipt } = (await wren.get(`/api/submissions/${second.id}/receipt`)).body
    expect(JSON.parse(receipt)).toMatchObject({ byItself: true, requestedAt: DUE, cameAt: second.cameAt })
    expect((await wren.get(`/api/submissions/${second.id}/check`)).body.agrees).toBe(true)
    // The assessor reads the newer one, with what is different in it.
    await odalys.post(`/api/submissions/${second.id}/open`)
    const { fromPrevious } = (await odalys.get(`/api/submissions/${second.id}/parts/1`)).body
    expect(fromPrevious).toMatchObject([{ what: 'changed', kind: 'answer', name: 'stake?' }])
    expect(JSON.stringify(fromPrevious)).toContain('moved by the tide')
    expect(askedIn(await copyOf(wren, copy), 'changed').piece.given.answer).toEqual({
      text: 'written after it was due',
    })
    await goTo(at('18:00'))
    expect(await submissions()).toHaveLength(2)
  })

  it('counts also where it stands in an entry of the guide, as it was then', async () => {
    const { wren, goTo, copy, submissions, htmlOf } = await startSealed()
    const begun = await wren.post(`/api/guide-copies/${copy}/entries`, {
      questionId: 'visit',
      day: '2026-11-26',
    })
    const path = `/api/entries/${begun.body.id}`
    const { revision } = (await wren.get(path)).body.draft
    const operations = [addTextRow('words', 'the creek before')]
    expect((await sendEdit(wren, path, { base: revision, operations })).status).toBe(200)
    await goTo(at('17:40'))
    const send = (base: number, words: string, writtenAt: string) =>
      sendEdit(wren, path, { base, operations: [writeText('words', words)], writtenAt })
    await send(revision + 1, 'the creek at low water', at('16:58'))
    await send(revision + 2, 'the creek at high water', at('17:02'))
    await goTo(at('17:42'))
    const [second] = await submissions()
    expect(second).toMatchObject({ n: 2, state: 'with-assessor' })
    expect(await htmlOf(second.id)).toContain('the creek at low water')
    expect(await htmlOf(second.id)).not.toContain('high water')
  })

  it('takes nothing back of what is told of a stage that somebody wrote in after it closed', async () => {
    const { odalys, wren, goTo, methods } = await startGuideSite(open)
    const [first, ...rest] = twoVisits.stages
    if (!first) throw new Error('there is a stage')
    const closing = { ...first, closesLocal: '2026-11-27T17:00' }
    const guide = await setGuide(odalys, [methods], { ...twoVisits, stages: [closing, ...rest] })
    const copy = await startGuide(wren, guide)
    const cell = async () => studentIn(await progressOf(odalys, guide, methods), 'Wren')?.cells[0]
    await goTo(at('17:40'))
    await sendHeld(wren, copy, 'stake', 'written in time', at('16:50'))
    expect(await cell()).toMatchObject({ changedAfterClose: false })
    await answerIn(wren, copy, 'stake', { text: 'written after' })
    await sendHeld(wren, copy, 'stake', 'and this in time', at('16:55'))
    expect(await cell()).toMatchObject({ changedAfterClose: true })
  })

  it('leaves a copy as it is where nothing of it is different, or it was written after', async () => {
    const { wren, goTo, copy, submissions } = await startSealed()
    await goTo(at('17:40'))
    await sendHeld(wren, copy, 'stake', 'B9', at('16:50'))
    await sendHeld(wren, copy, 'stake', 'B7', at('16:55'))
    // A device that claims to be ahead of the server counts from when it comes.
    await sendHeld(wren, copy, 'changed', 'later', at('19:00'))
    await goTo(at('17:42'))
    expect(await submissions()).toMatchObject([{ n: 1, state: 'with-assessor', cameAt: null }])
  })

  it('stays beside what was answered, or handed in by hand, and is told as changed since', async () => {
    const { odalys, wren, tomasz, guide, goTo, copy, submissions } = await startSealed()
    const other = await startGuide(tomasz, guide)
    const { assignmentId } = await copyOf(tomasz, other)
    expect((await handInChosen(tomasz, assignmentId ?? '')).status).toBe(202)
    await goTo(at('17:10'))
    const [{ id }] = await submissions()
    await odalys.post(`/api/submissions/${id}/open`)
    expect((await answer(odalys, id, { act: 'ask-for-changes', words: 'Say which stake.' })).status).toBe(200)
    await sendHeld(wren, copy, 'stake', 'B8', at('16:50'))
    await sendHeld(tomasz, other, 'stake', 'B1', at('16:50'))
    await goTo(at('17:42'))
    expect(await submissions()).toMatchObject([{ n: 1, state: 'changes-asked' }])
    expect((await tomasz.get('/api/submissions')).body.items).toMatchObject([{ n: 1, byItself: false }])
    expect((await wren.get(`/api/submissions/${id}/parts/1`)).body).toMatchObject({ since: 'changed' })
  })
})
