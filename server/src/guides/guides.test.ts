import type { GuideCopyReading, GuideProgress } from '@valise/core/guides'
import { newEvidencePiece, newLogbookPiece } from '@valise/core/pages'
import type { ChosenStep } from '@valise/core/pages'
import { inTransaction } from '../database/index.ts'
import {
  addTextRow,
  answerIn,
  askedIn,
  copyOf,
  describeEachDatabase,
  guideQuestion,
  guideStage,
  improveGuide,
  listGuides,
  makePicture,
  newsKinds,
  progressOf,
  sealedVisits,
  sendEdit,
  setGuide,
  startGuide,
  startGuideSite,
  studentIn,
  twoVisits,
  upload,
  write,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('guides', (open) => {
  const cellsOf = (progress: GuideProgress, name: string) =>
    studentIn(progress, name)?.cells.map((cell) => cell.progress)

  it('are listed for whoever they are set for, with what they ask and how they are read', async () => {
    const { odalys, wren, kit, methods } = await startGuideSite(open)
    const id = await setGuide(odalys, [methods])
    expect(await listGuides(kit)).toEqual([])
    expect(await listGuides(wren)).toMatchObject([
      {
        ...{ guideId: id, copyId: null, reading: 'followed', setBy: 'Odalys Fenn', classCode: 'FLD-204' },
        ...{ title: { en: 'One stake' }, dueAt: null, isEnded: false },
        stages: [
          { name: { en: 'Visit 1' }, phase: 'open', progress: 'not-begun', required: 1 },
          { phase: 'to-come' },
        ],
      },
    ])
    expect(await newsKinds(wren)).toContain('guide-set')
    expect(await newsKinds(kit)).not.toContain('guide-set')
  })

  it('start with one copy, always the same one, and only for whom they are set', async () => {
    const { odalys, wren, kit, methods, site } = await startGuideSite(open)
    const id = await setGuide(odalys, [methods])
    expect((await kit.post(`/api/guides/${id}/copies`, {})).status).toBe(404)
    const started = await Promise.all([1, 2, 3].map(() => startGuide(wren, id)))
    expect(new Set(started).size).toBe(1)
    const [copy = ''] = started
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect(await startGuide(wren, id)).toBe(copy)
    expect((await listGuides(wren)).map(({ copyId }) => copyId)).toEqual([copy])
    // One in the bin is the same copy still.
    expect((await wren.put('/api/bin', { ids: [copy] })).status).toBe(204)
    expect(await startGuide(wren, id)).toBe(copy)
    expect((await copyOf(wren, copy)).binnedAt).not.toBeNull()
    expect(await site.services.database.reader().sql('guideCopies').pluck('id')).toEqual([copy])
  })

  it('are followed from the start by the assessors of the class, where that was said, and by nobody else', async () => {
    const { odalys, wren, tomasz, kit, methods } = await startGuideSite(open)
    const id = await setGuide(odalys, [methods])
    const copy = await startGuide(wren, id)
    await answerIn(wren, copy, 'stake', { text: 'B7, on the north bank' })
    const read = async (browser: TestBrowser) => browser.get(`/api/guide-copies/${copy}/reading`)
    const seen: GuideCopyReading = (await read(odalys)).body
    expect(seen).toMatchObject({ isMine: false, ownerName: 'Wren Adeyemi-Holt', mayGiveFeedback: true })
    expect(seen.stages.map(({ progress }) => progress)).toEqual(['done', 'not-begun'])
    expect(seen.stages[0]?.questions[0]).toMatchObject({ isBlank: false, asks: { en: 'stake?' } })
    expect(seen.stages[0]?.questions[0]?.html).toContain('B7, on the north bank')
    expect(JSON.stringify(seen.stages.map(({ questions }) => questions))).not.toContain('Wade in')
    // Their own, with the eyes of whoever follows it.
    expect((await read(wren)).body).toMatchObject({ isMine: true, mayGiveFeedback: false })
    for (const other of [tomasz, kit]) expect((await read(other)).status).toBe(404)
    expect((await odalys.get(`/api/guide-copies/${copy}`)).status).toBe(404)
  })

  it('that are handed in when due show nobody what is written until then, but how far it is', async () => {
    const { odalys, wren, methods } = await startGuideSite(open)
    const id = await setGuide(odalys, [methods], sealedVisits)
    const copy = await startGuide(wren, id)
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect((await odalys.get(`/api/guide-copies/${copy}/reading`)).status).toBe(404)
    const progress = await progressOf(odalys, id, methods)
    expect(cellsOf(progress, 'Wren')).toEqual(['done', 'not-begun'])
    expect(cellsOf(progress, 'Tomasz')).toEqual(['not-begun', 'not-begun'])
  })

  it('tell how a class has come: done, in progress, not begun, and nothing for a week', async () => {
    const { odalys, wren, tomasz, methods, goTo } = await startGuideSite(open)
    const id = await setGuide(odalys, [methods])
    const copy = await startGuide(wren, id)
    await startGuide(tomasz, id)
    await goTo('2026-11-28T09:00:00.000Z')
    await answerIn(wren, copy, 'changed', { text: 'The bank is bare' })
    expect(studentIn(await progressOf(odalys, id, methods), 'Wren')).toMatchObject({
      changedAt: expect.stringMatching(/^2026-11-28/),
    })
    await goTo('2026-12-10T09:00:00.000Z')
    const { students } = await progressOf(odalys, id, methods)
    expect(
      students.map(({ name, isQuiet, cells }) => [name, isQuiet, cells.map((one) => one.progress)]),
    ).toEqual([
      ['Tomasz Ilves-Barr', true, ['not-begun', 'not-begun']],
      ['Wren Adeyemi-Holt', true, ['not-begun', 'done']],
    ])
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect(studentIn(await progressOf(odalys, id, methods), 'Wren')).toMatchObject({ isQuiet: false })
    expect((await wren.get(`/api/guides/${id}/classes/${methods}`)).status).toBe(404)
  })

  it('have stages that an assessor opens by hand, for one class', async () => {
    const { odalys, wren, methods } = await startGuideSite(open)
    const hand = { how: 'hand' as const, local: null }
    const content = {
      ...twoVisits,
      stages: [guideStage('1', [guideQuestion('short', 'a')], { opens: hand })],
    }
    const id = await setGuide(odalys, [methods], content)
    const phase = async () => (await listGuides(wren))[0]?.stages[0]?.phase
    expect(await phase()).toBe('to-come')
    const opening = { classId: methods, stageId: '1', isOpen: true }
    expect((await wren.put(`/api/guides/${id}/openings`, opening)).status).toBe(404)
    expect((await odalys.put(`/api/guides/${id}/openings`, opening)).status).toBe(200)
    expect(await phase()).toBe('open')
    await odalys.put(`/api/guides/${id}/openings`, { ...opening, isOpen: false })
    expect(await phase()).toBe('to-come')
  })

  it('save what is typed in a stage that closes, and tell the assessor that it came later', async () => {
    const { odalys, wren, methods, goTo } = await startGuideSite(open)
    const content = {
      ...twoVisits,
      stages: [guideStage('1', [guideQuestion('short', 'a')], { closesLocal: '2026-11-27T12:00' })],
    }
    const id = await setGuide(odalys, [methods], content)
    const copy = await startGuide(wren, id)
    await answerIn(wren, copy, 'a', { text: 'before' })
    const cell = async () => studentIn(await progressOf(odalys, id, methods), 'Wren')?.cells[0]
    expect(await cell()).toMatchObject({ changedAfterClose: false })
    await goTo('2026-11-27T12:00:30.000Z')
    expect((await listGuides(wren))[0]?.stages[0]?.phase).toBe('closed')
    await answerIn(wren, copy, 'a', { text: 'typed as it closed' })
    expect(askedIn(await copyOf(wren, copy), 'a').piece.given.answer).toEqual({ text: 'typed as it closed' })
    expect(await cell()).toMatchObject({ changedAfterClose: true })
  })

  describe('entries', () => {
    it('lie in the logbook of the guide and stand in the copy as well', async () => {
      const { odalys, wren, methods } = await startGuideSite(open)
      const copy = await startGuide(wren, await setGuide(odalys, [methods]))
      const begin = () =>
        wren.post(`/api/guide-copies/${copy}/entries`, { questionId: 'visit', day: '2026-11-26' })
      const first = (await begin()).body.id
      const second = (await begin()).body.id
      const entry = (await wren.get(`/api/entries/${first}`)).body
      expect(entry).toMatchObject({ logbookTitle: 'One stake', day: '2026-11-26' })
      await sendEdit(wren, `/api/entries/${first}`, {
        base: entry.draft.revision,
        operations: [addTextRow('words', 'The gate was frozen')],
      })
      const { row } = askedIn(await copyOf(wren, copy), 'visit')
      expect(row.pieces.slice(1)).toMatchObject([{ entryId: first }, { entryId: second }])
      const seen: GuideCopyReading = (await odalys.get(`/api/guide-copies/${copy}/reading`)).body
      expect(seen.stages[0]?.questions.map(({ html }) => html).join('')).toContain('The gate was frozen')
      const logbook = (await wren.get(`/api/logbooks/${entry.logbookId}`)).body
      expect(logbook).toMatchObject({ title: 'One stake', classId: methods })
    })

    it('go into a logbook that was chosen, and into a new one when that is gone', async () => {
      const { odalys, wren, methods } = await startGuideSite(open)
      const copy = await startGuide(wren, await setGuide(odalys, [methods]))
      const mine = (await wren.post('/api/logbooks', { title: 'My stakes' })).body.id
      const theirs = (await odalys.post('/api/logbooks', { title: 'Theirs' })).body.id
      const choose = (logbookId: string) => wren.put(`/api/guide-copies/${copy}/logbook`, { logbookId })
      expect((await choose(theirs)).status).toBe(404)
      expect((await choose(mine)).body.logbookId).toBe(mine)
      const begin = async () => {
        const body = { questionId: 'visit', day: '2026-11-26' }
        const { id } = (await wren.post(`/api/guide-copies/${copy}/entries`, body)).body
        return (await wren.get(`/api/entries/${id}`)).body
      }
      expect((await begin()).logbookTitle).toBe('My stakes')
      const empty = (await wren.post('/api/logbooks', { title: 'Empty' })).body.id
      await choose(empty)
      expect((await wren.put('/api/bin', { ids: [empty] })).status).toBe(204)
      expect((await begin()).logbookTitle).toBe('One stake')
    })

    it('are written for questions that ask for them alone', async () => {
      const { odalys, wren, methods } = await startGuideSite(open)
      const copy = await startGuide(wren, await setGuide(odalys, [methods]))
      const begin = (questionId: string) =>
        wren.post(`/api/guide-copies/${copy}/entries`, { questionId, day: '2026-11-26' })
      expect((await begin('stake')).status).toBe(404)
      expect((await begin('none')).status).toBe(404)
    })
  })

  it('note ratings where they are made, so that they are seen over time', async () => {
    const { odalys, wren, methods } = await startGuideSite(open)
    const set = '0193aaaa-0000-7000-8000-000000000001'
    const steps = ['Not yet', 'With help', 'On my own'].map((en, n) => ({
      id: `s${n}`,
      label: { en },
      looks: {},
    }))
    const attribute = { setId: set, n: 1, setTitle: { en: 'Field' }, id: 'a' }
    const question = guideQuestion('rating', 'rate', { attribute, steps })
    const id = await setGuide(odalys, [methods], { ...twoVisits, stages: [guideStage('1', [question])] })
    const copy = await startGuide(wren, id)
    const step: ChosenStep = { id: 's1', label: { en: 'With help' }, place: 2, of: 3 }
    await answerIn(wren, copy, 'rate', { step, reason: 'Tomasz held the stake' })
    expect((await wren.get(`/api/ratings?setId=${set}`)).body.items).toMatchObject([
      { reason: 'Tomasz held the stake', step: { place: 2 } },
    ])
  })

  describe('that are improved', () => {
    it('wait for those who have begun to choose, and leave them their answers', async () => {
      const { odalys, wren, methods } = await startGuideSite(open)
      const id = await setGuide(odalys, [methods])
      const copy = await startGuide(wren, id)
      await answerIn(wren, copy, 'stake', { text: 'B7' })
      const next = { ...twoVisits, stages: twoVisits.stages.slice(1) }
      await improveGuide(odalys, id, next)
      expect(await copyOf(wren, copy)).toMatchObject({ n: 1, newest: 2, content: twoVisits })
      expect((await wren.get(`/api/guides/${id}/newest`)).body.content).toEqual(next)
    })

    it('are read as was said to those who have begun', async () => {
      const { odalys, wren, methods } = await startGuideSite(open)
      const id = await setGuide(odalys, [methods])
      await startGuide(wren, id)
      const path = `/api/guides/${id}`
      const { revision } = (await odalys.get(path)).body
      await odalys.put(path, { content: sealedVisits }, revision)
      const answer = await write(odalys, 'POST', `${path}/versions`, {})
      expect([answer.status, answer.body.reason]).toEqual([409, 'guide-reading-fixed'])
      expect((await wren.get(`${path}/newest`)).body.n).toBe(1)
    })

    it('may be improved by every assessor of the class, and by nobody else', async () => {
      const { site, school, odalys, wren, methods } = await startGuideSite(open)
      const id = await setGuide(odalys, [methods])
      const mireille = site.browser()
      await mireille.signIn('mireille')
      const membership = { classId: methods, role: 'assessor', firstDay: null, lastDay: null }
      expect((await mireille.get(`/api/guides/${id}`)).status).toBe(404)
      await mireille.post(`/api/people/${school.people.mireille}/memberships`, membership)
      expect((await mireille.get(`/api/guides/${id}`)).body).toMatchObject({ isMine: false, n: 1 })
      await improveGuide(mireille, id, { ...twoVisits, title: { en: 'Two stakes' } })
      expect((await mireille.get('/api/guides')).body).toMatchObject([{ mayEdit: true, source: 'class' }])
      expect((await wren.get(`/api/guides/${id}`)).status).toBe(404)
      expect((await wren.post('/api/guides', { title: { en: 'Mine' } })).status).toBe(403)
    })
  })

  it('hand out the files of their instructions and of what is answered, to those who may see them', async () => {
    const { site, odalys, wren, tomasz, kit, methods } = await startGuideSite(open)
    const bring = async (browser: TestBrowser) => {
      const file = { name: 'map.jpg', content: await makePicture() }
      const id = (await upload(browser, file)).body.outcome.evidenceId as string
      await site.services.jobs.drain()
      return id
    }
    const map = await bring(odalys)
    const [first, second] = twoVisits.stages
    if (!first || !second) throw new Error('no stages')
    const items = [{ id: map, kind: 'picture' as const }]
    const blocks = first.blocks.map((block) => ('items' in block ? { ...block, items } : block))
    const id = await setGuide(odalys, [methods], { ...twoVisits, stages: [{ ...first, blocks }, second] })
    const instruction = `/api/guides/${id}/pieces/how-0/screen`
    expect([await wren.get(instruction), await tomasz.get(instruction)].map(({ status }) => status)).toEqual([
      200, 200,
    ])
    expect((await kit.get(instruction)).status).toBe(404)
    const copy = await startGuide(wren, id)
    expect(Object.keys((await copyOf(wren, copy)).instructions.evidence)).toEqual(['how-0'])
    const mine = await bring(wren)
    const { draft } = await copyOf(wren, copy)
    const { row, piece } = askedIn({ draft }, 'photo')
    const shown = newEvidencePiece('shot', { id: mine, kind: 'picture' })
    await sendEdit(wren, `/api/guide-copies/${copy}`, {
      base: draft.revision,
      operations: [{ op: 'insert-piece', rowId: row.id, piece: shown, after: piece.id }],
    })
    const file = `/api/guide-copies/${copy}/pieces/shot/screen`
    expect([await wren.get(file), await odalys.get(file)].map(({ status }) => status)).toEqual([200, 200])
    expect([await tomasz.get(file), await kit.get(file)].map(({ status }) => status)).toEqual([404, 404])
    // What is somebody else's is no instruction of mine.
    const theirs = { ...first, blocks: [{ ...blocks[0], items: [{ id: mine, kind: 'picture' }] }] }
    const { revision } = (await odalys.get(`/api/guides/${id}`)).body
    const refused = await odalys.put(
      `/api/guides/${id}`,
      { content: { ...twoVisits, stages: [theirs] } },
      revision,
    )
    expect(refused.status).toBe(404)
  })

  it('take feedback on an answer, a stage or the whole, which its owner is told of', async () => {
    const { odalys, wren, tomasz, methods } = await startGuideSite(open)
    const copy = await startGuide(wren, await setGuide(odalys, [methods]))
    const { piece } = askedIn(await copyOf(wren, copy), 'stake')
    const say = (browser: TestBrowser, on: object) =>
      browser.post(`/api/guide-copies/${copy}/feedback`, {
        stageId: null,
        pieceId: null,
        text: 'Go on',
        ...on,
      })
    expect((await say(odalys, {})).status).toBe(201)
    await say(odalys, { stageId: '1' })
    await say(odalys, { stageId: '1', pieceId: piece.id, text: 'Which bank?' })
    expect((await say(tomasz, {})).status).toBe(404)
    expect((await say(wren, {})).status).toBe(403)
    expect((await copyOf(wren, copy)).feedback).toMatchObject([
      { stageId: null, pieceId: null, authorName: 'Odalys Fenn', isMine: false },
      { stageId: '1' },
      { pieceId: piece.id, text: 'Which bank?' },
    ])
    expect(await newsKinds(wren)).toContain('guide-feedback')
  })

  it('stay readable to their owners when the class has ended, and to no assessor', async () => {
    const { site, odalys, wren, methods } = await startGuideSite(open)
    const copy = await startGuide(wren, await setGuide(odalys, [methods]))
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    await inTransaction(site.services.database, async (trx) => {
      await trx.sql('classes').where({ id: methods }).update({ endedAt: trx.now })
    })
    expect((await odalys.get(`/api/guide-copies/${copy}/reading`)).status).toBe(404)
    expect((await wren.get(`/api/guide-copies/${copy}/reading`)).status).toBe(200)
    expect(await listGuides(wren)).toMatchObject([{ copyId: copy, isEnded: true }])
    await answerIn(wren, copy, 'changed', { text: 'still mine' })
  })

  it('stay out of the bin once somebody has begun them', async () => {
    const { odalys, wren, methods } = await startGuideSite(open)
    const [begun, other] = [await setGuide(odalys, [methods]), await setGuide(odalys, [methods])]
    await startGuide(wren, begun)
    expect((await odalys.put('/api/bin', { ids: [begun] })).body.reason).toBe('guide-has-copies')
    expect((await odalys.put('/api/bin', { ids: [other] })).status).toBe(204)
    expect((await listGuides(wren)).map(({ guideId }) => guideId)).toEqual([begun])
  })

  it('join what two windows write in one copy', async () => {
    const { odalys, wren, methods } = await startGuideSite(open)
    const copy = await startGuide(wren, await setGuide(odalys, [methods]))
    const { draft } = await copyOf(wren, copy)
    const logbook = (await wren.post('/api/logbooks', { title: 'My stakes' })).body.id
    const [stake, photo] = [askedIn({ draft }, 'stake'), askedIn({ draft }, 'photo')]
    const path = `/api/guide-copies/${copy}`
    const wrote = { ...stake.piece, given: { ...stake.piece.given, answer: { text: 'B7' } } }
    await sendEdit(wren, path, {
      base: 1,
      operations: [{ op: 'set-piece', piece: wrote as typeof stake.piece }],
    })
    const piece = newLogbookPiece('book', logbook)
    const other = await sendEdit(wren, path, {
      base: 1,
      operations: [{ op: 'insert-piece', rowId: photo.row.id, piece, after: photo.piece.id }],
    })
    expect(other.status).toBe(200)
    const after = await copyOf(wren, copy)
    expect(askedIn(after, 'stake').piece.given.answer).toEqual({ text: 'B7' })
    expect(askedIn(after, 'photo').row.pieces).toHaveLength(2)
  })
})
