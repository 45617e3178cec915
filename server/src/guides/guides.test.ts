import type { GuideCopy, GuideCopyReading, GuideProgress, GuideRow } from '@valise/core/guides'
import { newEvidencePiece, newLogbookPiece } from '@valise/core/pages'
import type { ChosenStep } from '@valise/core/pages'
import { addMinutes, minutesBetween } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import { shiftedClock } from '../system/index.ts'
import {
  addTextRow,
  answerIn,
  askedIn,
  describeEachDatabase,
  guideQuestion,
  guideStage,
  handInChosen,
  improveGuide,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  newsKinds,
  sealedVisits,
  sendEdit,
  setGuide,
  startGuide,
  TEST_START,
  twoVisits,
  upload,
  write,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { planCollecting } from './index.ts'

const DUE = '2026-11-27T17:00:00.000Z'

describeEachDatabase('guides', (open) => {
  async function start() {
    let minutes = 0
    const ticking = shiftedClock(TEST_START)
    const site = makeTestSite(await open({ clock: { now: () => addMinutes(ticking.now(), minutes) } }))
    const school = await makeSmallSchool(site.services)
    const browsers = {
      odalys: site.browser(),
      wren: site.browser(),
      tomasz: site.browser(),
      kit: site.browser(),
    }
    const signIn = async () => {
      for (const [name, browser] of Object.entries(browsers)) await browser.signIn(name)
    }
    await signIn()
    await planCollecting(site.services)
    const { methods } = school.classes
    /** Goes to a moment, whoever was signed in signs in anew, and what is due by then is done. */
    const goTo = async (moment: string) => {
      minutes += minutesBetween(site.services.database.reader().now, moment)
      await signIn()
      await site.services.jobs.drain()
      await site.services.jobs.drain()
    }
    return { site, school, ...browsers, methods, goTo }
  }

  const copyOf = async (browser: TestBrowser, id: string) =>
    (await browser.get(`/api/guide-copies/${id}`)).body as GuideCopy
  const listed = async (browser: TestBrowser) => (await browser.get('/api/guide-copies')).body as GuideRow[]
  const progressOf = async (browser: TestBrowser, guide: string, classId: string) =>
    (await browser.get(`/api/guides/${guide}/classes/${classId}`)).body as GuideProgress
  const studentIn = ({ students }: GuideProgress, name: string) =>
    students.find((one) => one.name.startsWith(name))
  const cellsOf = (progress: GuideProgress, name: string) =>
    studentIn(progress, name)?.cells.map((cell) => cell.progress)

  it('are listed for whoever they are set for, with what they ask and how they are read', async () => {
    const { odalys, wren, kit, methods } = await start()
    const id = await setGuide(odalys, [methods])
    expect(await listed(kit)).toEqual([])
    expect(await listed(wren)).toMatchObject([
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
    const { odalys, wren, kit, methods, site } = await start()
    const id = await setGuide(odalys, [methods])
    expect((await kit.post(`/api/guides/${id}/copies`, {})).status).toBe(404)
    const started = await Promise.all([1, 2, 3].map(() => startGuide(wren, id)))
    expect(new Set(started).size).toBe(1)
    const [copy = ''] = started
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect(await startGuide(wren, id)).toBe(copy)
    expect((await listed(wren)).map(({ copyId }) => copyId)).toEqual([copy])
    // One in the bin is the same copy still.
    expect((await wren.put('/api/bin', { ids: [copy] })).status).toBe(204)
    expect(await startGuide(wren, id)).toBe(copy)
    expect((await copyOf(wren, copy)).binnedAt).not.toBeNull()
    expect(await site.services.database.reader().sql('guideCopies').pluck('id')).toEqual([copy])
  })

  it('are followed from the start by the assessors of the class, where that was said, and by nobody else', async () => {
    const { odalys, wren, tomasz, kit, methods } = await start()
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
    const { odalys, wren, methods } = await start()
    const id = await setGuide(odalys, [methods], sealedVisits)
    const copy = await startGuide(wren, id)
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    expect((await odalys.get(`/api/guide-copies/${copy}/reading`)).status).toBe(404)
    const progress = await progressOf(odalys, id, methods)
    expect(cellsOf(progress, 'Wren')).toEqual(['done', 'not-begun'])
    expect(cellsOf(progress, 'Tomasz')).toEqual(['not-begun', 'not-begun'])
  })

  it('tell how a class has come: done, in progress, not begun, and nothing for a week', async () => {
    const { odalys, wren, tomasz, methods, goTo } = await start()
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
    const { odalys, wren, methods } = await start()
    const hand = { how: 'hand' as const, local: null }
    const content = {
      ...twoVisits,
      stages: [guideStage('1', [guideQuestion('short', 'a')], { opens: hand })],
    }
    const id = await setGuide(odalys, [methods], content)
    const phase = async () => (await listed(wren))[0]?.stages[0]?.phase
    expect(await phase()).toBe('to-come')
    const opening = { classId: methods, stageId: '1', isOpen: true }
    expect((await wren.put(`/api/guides/${id}/openings`, opening)).status).toBe(404)
    expect((await odalys.put(`/api/guides/${id}/openings`, opening)).status).toBe(200)
    expect(await phase()).toBe('open')
    await odalys.put(`/api/guides/${id}/openings`, { ...opening, isOpen: false })
    expect(await phase()).toBe('to-come')
  })

  it('save what is typed in a stage that closes, and tell the assessor that it came later', async () => {
    const { odalys, wren, methods, goTo } = await start()
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
    expect((await listed(wren))[0]?.stages[0]?.phase).toBe('closed')
    await answerIn(wren, copy, 'a', { text: 'typed as it closed' })
    expect(askedIn(await copyOf(wren, copy), 'a').piece.given.answer).toEqual({ text: 'typed as it closed' })
    expect(await cell()).toMatchObject({ changedAfterClose: true })
  })

  describe('entries', () => {
    it('lie in the logbook of the guide and stand in the copy as well', async () => {
      const { odalys, wren, methods } = await start()
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
      const { odalys, wren, methods } = await start()
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
      const { odalys, wren, methods } = await start()
      const copy = await startGuide(wren, await setGuide(odalys, [methods]))
      const begin = (questionId: string) =>
        wren.post(`/api/guide-copies/${copy}/entries`, { questionId, day: '2026-11-26' })
      expect((await begin('stake')).status).toBe(404)
      expect((await begin('none')).status).toBe(404)
    })
  })

  it('note ratings where they are made, so that they are seen over time', async () => {
    const { odalys, wren, methods } = await start()
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

  describe('handed in when due', () => {
    async function startSealed() {
      const started = await start()
      const { odalys, wren, methods } = started
      const guide = await setGuide(odalys, [methods], sealedVisits)
      const copy = await startGuide(wren, guide)
      await answerIn(wren, copy, 'stake', { text: 'B7' })
      const submissions = async () => (await wren.get('/api/submissions')).body.items
      return { ...started, guide, copy, submissions }
    }

    it('is sealed with its receipt at the due time, by itself, with what was missing by name', async () => {
      const { odalys, wren, tomasz, goTo, copy, guide, methods, submissions } = await startSealed()
      await goTo('2026-11-27T16:59:00.000Z')
      expect(await submissions()).toEqual([])
      await goTo('2026-11-27T17:00:40.000Z')
      const [row] = await submissions()
      expect(row).toMatchObject({
        ...{ state: 'with-assessor', number: 'MB-0001', byItself: true, requestedAt: DUE, lateMinutes: 0 },
        ...{ title: { en: 'One stake' }, gaps: 1, parts: 1 },
      })
      const submission = (await wren.get(`/api/submissions/${row.id}`)).body
      expect(submission.readiness[1]).toMatchObject({
        ...{ requirement: { kind: 'stage', name: { en: 'Visit 2' } } },
        result: { isThere: false, missing: [{ asks: { en: 'changed?' } }] },
      })
      await odalys.post(`/api/submissions/${row.id}/open`)
      const part = (await odalys.get(`/api/submissions/${row.id}/parts/1`)).body
      expect(part.html).toMatch(/<h2>Visit 1<\/h2>.*<h3>stake\?<\/h3><p>B7<\/p>/)
      expect(part.html).not.toContain('Wade in')
      const { receipt } = (await wren.get(`/api/submissions/${row.id}/receipt`)).body
      expect(JSON.parse(receipt)).toMatchObject({ byItself: true, requestedAt: DUE, gaps: ['2'] })
      expect((await wren.get(`/api/submissions/${row.id}/check`)).body.agrees).toBe(true)
      const { students } = await progressOf(odalys, guide, methods)
      expect(students.map(({ handIn }) => handIn)).toEqual([null, 'by-itself'])
      expect((await listed(wren))[0]).toMatchObject({ copyId: copy, latest: { byItself: true } })
      expect((await tomasz.get('/api/submissions')).body.items).toEqual([])
    })

    it('is as it was then, whatever was written until it was handed in, after a server that was down', async () => {
      const { wren, goTo, copy, site, submissions } = await startSealed()
      // The jobs stand still over the due time, as those of a server that is down do.
      const { drain } = site.services.jobs
      Object.assign(site.services.jobs, { drain: async () => undefined })
      await goTo('2026-11-27T18:30:00.000Z')
      await answerIn(wren, copy, 'stake', { text: 'written after it was due' })
      await answerIn(wren, copy, 'changed', { text: 'late as well' })
      Object.assign(site.services.jobs, { drain })
      await goTo('2026-11-27T18:31:00.000Z')
      const [row] = await submissions()
      expect(row).toMatchObject({ byItself: true, requestedAt: DUE, lateMinutes: 0, gaps: 1 })
      const part = (await wren.get(`/api/submissions/${row.id}/parts/1`)).body
      expect(part.html).toContain('<p>B7</p>')
      expect(part.html).not.toContain('after it was due')
      // Nothing is lost: the copy has all of it, and both sides can see what changed since.
      expect(part.changes.length).toBeGreaterThan(0)
      expect(askedIn(await copyOf(wren, copy), 'changed').piece.given.answer).toEqual({
        text: 'late as well',
      })
    })

    it('has all that was written until the minute, also by somebody who writes through it', async () => {
      const { wren, goTo, copy, site, submissions } = await startSealed()
      const { drain } = site.services.jobs
      Object.assign(site.services.jobs, { drain: async () => undefined })
      const windowId = '0193aaaa-0000-7000-8000-00000000000a'
      const type = async (from: number, to: number) => {
        for (let n = from; n < to; n += 1) {
          const { draft } = await copyOf(wren, copy)
          const { piece } = askedIn({ draft }, 'stake')
          const written = {
            ...piece,
            given: { ...piece.given, answer: { text: `word ${n}` } },
          } as typeof piece
          const operations = [{ op: 'set-piece' as const, piece: written }]
          await sendEdit(wren, `/api/guide-copies/${copy}`, { base: draft.revision, windowId, operations })
        }
      }
      await goTo('2026-11-27T16:59:30.000Z')
      await type(0, 14)
      await goTo('2026-11-27T17:00:02.000Z')
      // The log is tidied on the way.
      await type(14, 30)
      Object.assign(site.services.jobs, { drain })
      await goTo('2026-11-27T17:00:20.000Z')
      const [row] = await submissions()
      expect((await wren.get(`/api/submissions/${row.id}/parts/1`)).body.html).toContain('<p>word 13</p>')
    })

    it('is handed in once, also where its owner did so earlier, or two servers collect at once', async () => {
      const { wren, goTo, copy, site, submissions } = await startSealed()
      const { assignmentId } = await copyOf(wren, copy)
      const answer = await handInChosen(wren, assignmentId ?? '')
      expect(answer.status).toBe(202)
      await site.services.jobs.drain()
      await goTo('2026-11-27T17:01:00.000Z')
      expect(await submissions()).toMatchObject([{ byItself: false, state: 'with-assessor' }])
    })

    it('is handed in again when it was taken back before', async () => {
      const { wren, goTo, copy, site, submissions } = await startSealed()
      const { assignmentId } = await copyOf(wren, copy)
      const { body } = await handInChosen(wren, assignmentId ?? '')
      await site.services.jobs.drain()
      await wren.post(`/api/submissions/${body.id}/take-back`)
      await goTo('2026-11-27T17:01:00.000Z')
      expect(
        (await submissions()).map((one: { byItself: boolean; state: string }) => [one.byItself, one.state]),
      ).toEqual([
        [true, 'with-assessor'],
        [false, 'taken-back'],
      ])
    })

    it('comes later when it is due later, and not at all once the guide has ended', async () => {
      const { odalys, goTo, guide, submissions } = await startSealed()
      await improveGuide(odalys, guide, { ...sealedVisits, dueLocal: '2026-11-28T17:00' })
      await goTo('2026-11-27T17:01:00.000Z')
      expect(await submissions()).toEqual([])
      await write(odalys, 'PUT', `/api/guides/${guide}/offers`, { classIds: [] })
      await goTo('2026-11-28T17:01:00.000Z')
      expect(await submissions()).toEqual([])
    })

    it('takes along the pages that answer its questions, as they are published', async () => {
      const { wren, goTo, copy, submissions } = await startSealed()
      const { id } = (await wren.post('/api/pages', { title: 'The bank', lang: 'en' })).body
      await sendEdit(wren, `/api/pages/${id}`, {
        base: 1,
        operations: [addTextRow('t', 'bare since the storm')],
      })
      await wren.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r2"' })
      await answerIn(wren, copy, 'page', { pages: [{ id, title: 'The bank' }] })
      await goTo('2026-11-27T17:01:00.000Z')
      const [row] = await submissions()
      expect(row.parts).toBe(2)
      expect((await wren.get(`/api/submissions/${row.id}/parts/2`)).body.html).toContain(
        'bare since the storm',
      )
    })

    it('that fails is a state to be seen on both sides, and can be done by hand', async () => {
      const { odalys, wren, goTo, copy, guide, methods, site, submissions } = await startSealed()
      // Its last edit cannot be read, so that every try fails.
      await inTransaction(site.services.database, async (trx) => {
        await trx.sql('draftEdits').where({ draftId: copy }).update({ operations: '[]', inverse: '{' })
        await trx.sql('drafts').where({ id: copy }).update({ checkpointRevision: 0 })
      })
      for (const moment of [1, 2, 4, 8, 30, 120, 600])
        await goTo(addMinutes(DUE, moment)).catch(() => undefined)
      await inTransaction(site.services.database, async (trx) => {
        await trx.sql('draftEdits').where({ draftId: copy }).delete()
      })
      expect((await listed(wren))[0]).toMatchObject({ mustHandIn: true, latest: { state: 'not-sealed' } })
      expect((await wren.get('/api/today')).body.steps[0]).toMatchObject({
        ...{ kind: 'hand-in', guideId: guide, latest: { state: 'not-sealed', byItself: true } },
      })
      expect((await odalys.get('/api/review-desk/queue')).body.failed).toEqual(['Wren Adeyemi-Holt'])
      expect(studentIn(await progressOf(odalys, guide, methods), 'Wren')).toMatchObject({ handIn: 'failed' })
      expect(await newsKinds(wren)).toContain('guide-not-handed-in')
      const { assignmentId } = await copyOf(wren, copy)
      expect((await handInChosen(wren, assignmentId ?? '')).status).toBe(202)
      await site.services.jobs.drain()
      expect((await submissions())[0]).toMatchObject({ byItself: false, state: 'with-assessor' })
      expect((await listed(wren))[0]).toMatchObject({ mustHandIn: false })
      expect((await odalys.get('/api/review-desk/queue')).body.failed).toEqual([])
    })

    it('cannot be chosen from otherwise: what goes in is the copy', async () => {
      const { odalys, wren, copy, guide } = await startSealed()
      const { assignmentId } = await copyOf(wren, copy)
      const path = `/api/assignments/${assignmentId}/hand-in`
      const { revision } = (await wren.get(path)).body
      expect((await wren.put(path, { parts: [] }, revision)).body.reason).toBe('guide-chooses')
      const assignment = `/api/assignments/${assignmentId}`
      const { body } = await odalys.get(assignment)
      for (const answer of [
        await write(odalys, 'PUT', `${assignment}/end`),
        await write(odalys, 'DELETE', assignment),
      ])
        expect(answer.body.reason).toBe('guide-sets')
      expect(body.guideId).toBe(guide)
      expect((await odalys.get('/api/assignments')).body.count).toBe(0)
    })
  })

  describe('that are improved', () => {
    it('wait for those who have begun to choose, and leave them their answers', async () => {
      const { odalys, wren, methods } = await start()
      const id = await setGuide(odalys, [methods])
      const copy = await startGuide(wren, id)
      await answerIn(wren, copy, 'stake', { text: 'B7' })
      const next = { ...twoVisits, stages: twoVisits.stages.slice(1) }
      await improveGuide(odalys, id, next)
      expect(await copyOf(wren, copy)).toMatchObject({ n: 1, newest: 2, content: twoVisits })
      expect((await wren.get(`/api/guides/${id}/newest`)).body.content).toEqual(next)
    })

    it('are read as was said to those who have begun', async () => {
      const { odalys, wren, methods } = await start()
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
      const { site, school, odalys, wren, methods } = await start()
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
    const { site, odalys, wren, tomasz, kit, methods } = await start()
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
    const { odalys, wren, tomasz, methods } = await start()
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
    const { site, odalys, wren, methods } = await start()
    const copy = await startGuide(wren, await setGuide(odalys, [methods]))
    await answerIn(wren, copy, 'stake', { text: 'B7' })
    await inTransaction(site.services.database, async (trx) => {
      await trx.sql('classes').where({ id: methods }).update({ endedAt: trx.now })
    })
    expect((await odalys.get(`/api/guide-copies/${copy}/reading`)).status).toBe(404)
    expect((await wren.get(`/api/guide-copies/${copy}/reading`)).status).toBe(200)
    expect(await listed(wren)).toMatchObject([{ copyId: copy, isEnded: true }])
    await answerIn(wren, copy, 'changed', { text: 'still mine' })
  })

  it('stay out of the bin once somebody has begun them', async () => {
    const { odalys, wren, methods } = await start()
    const [begun, other] = [await setGuide(odalys, [methods]), await setGuide(odalys, [methods])]
    await startGuide(wren, begun)
    expect((await odalys.put('/api/bin', { ids: [begun] })).body.reason).toBe('guide-has-copies')
    expect((await odalys.put('/api/bin', { ids: [other] })).status).toBe(204)
    expect((await listed(wren)).map(({ guideId }) => guideId)).toEqual([begun])
  })

  it('join what two windows write in one copy', async () => {
    const { odalys, wren, methods } = await start()
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
