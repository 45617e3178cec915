import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import {
  addTextRow,
  answerIn,
  askedIn,
  copyOf,
  describeEachDatabase,
  handInChosen,
  improveGuide,
  listGuides,
  newsKinds,
  progressOf,
  sealedVisits,
  sendEdit,
  startSealedGuide,
  studentIn,
  write,
} from '../testing/index.ts'

const DUE = '2026-11-27T17:00:00.000Z'

describeEachDatabase('guides handed in when due', (open) => {
  it('is sealed with its receipt at the due time, by itself, with what was missing by name', async () => {
    const { odalys, wren, tomasz, goTo, copy, guide, methods, submissions } = await startSealedGuide(open)
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
    expect((await listGuides(wren))[0]).toMatchObject({ copyId: copy, latest: { byItself: true } })
    expect((await tomasz.get('/api/submissions')).body.items).toEqual([])
  })

  it('is as it was then, whatever was written until it was handed in, after a server that was down', async () => {
    const { wren, goTo, copy, site, submissions } = await startSealedGuide(open)
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
    const { wren, goTo, copy, site, submissions } = await startSealedGuide(open)
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
    const { wren, goTo, copy, site, submissions } = await startSealedGuide(open)
    const { assignmentId } = await copyOf(wren, copy)
    const answer = await handInChosen(wren, assignmentId ?? '')
    expect(answer.status).toBe(202)
    await site.services.jobs.drain()
    await goTo('2026-11-27T17:01:00.000Z')
    expect(await submissions()).toMatchObject([{ byItself: false, state: 'with-assessor' }])
  })

  it('is handed in again when it was taken back before', async () => {
    const { wren, goTo, copy, site, submissions } = await startSealedGuide(open)
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
    const { odalys, goTo, guide, submissions } = await startSealedGuide(open)
    await improveGuide(odalys, guide, { ...sealedVisits, dueLocal: '2026-11-28T17:00' })
    await goTo('2026-11-27T17:01:00.000Z')
    expect(await submissions()).toEqual([])
    await write(odalys, 'PUT', `/api/guides/${guide}/offers`, { classIds: [] })
    await goTo('2026-11-28T17:01:00.000Z')
    expect(await submissions()).toEqual([])
  })

  it('takes along the pages that answer its questions, as they are published, in the order of the answer', async () => {
    const { wren, goTo, copy, submissions } = await startSealedGuide(open)
    const publish = async (title: string, text: string) => {
      const { id } = (await wren.post('/api/pages', { title, lang: 'en' })).body
      await sendEdit(wren, `/api/pages/${id}`, { base: 1, operations: [addTextRow('t', text)] })
      await wren.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r2"' })
      return { id, title }
    }
    const bank = await publish('The bank', 'bare since the storm')
    const marsh = await publish('The marsh', 'two reeds taller')
    await answerIn(wren, copy, 'page', { pages: [marsh, bank] })
    await goTo('2026-11-27T17:01:00.000Z')
    const [row] = await submissions()
    expect(row.parts).toBe(3)
    const partOf = async (n: number) => (await wren.get(`/api/submissions/${row.id}/parts/${n}`)).body.html
    expect(await partOf(2)).toContain('two reeds taller')
    expect(await partOf(3)).toContain('bare since the storm')
  })

  it('that fails is a state to be seen on both sides, and can be done by hand', async () => {
    const { odalys, wren, goTo, copy, guide, methods, site, submissions } = await startSealedGuide(open)
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
    expect((await listGuides(wren))[0]).toMatchObject({ latest: { state: 'not-sealed' } })
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
    expect((await listGuides(wren))[0]).toMatchObject({ latest: { state: 'with-assessor' } })
    expect((await odalys.get('/api/review-desk/queue')).body.failed).toEqual([])
  })

  it('cannot be chosen from otherwise: what goes in is the copy', async () => {
    const { odalys, wren, copy, guide } = await startSealedGuide(open)
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
