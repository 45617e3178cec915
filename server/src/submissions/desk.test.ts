// The review desk: who reads what, answers and their undo, what changed since, feedback.
import {
  accept,
  answer,
  ask,
  describeEachDatabase,
  handInChosen,
  handInSealed,
  newsKinds,
  sendEdit,
  setAssignment,
  startSealed,
  writeText,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('submissions at the review desk', (open, onSqlite) => {
  onSqlite('stand in the queue of whoever assesses the class now, and of nobody else', async () => {
    const { as, odalys, id, assignment } = await startSealed(open, false)
    expect((await odalys.get('/api/review-desk')).body).toMatchObject([{ toRead: 1 }])
    expect((await odalys.get(`/api/assignments/${assignment}/queue`)).body).toMatchObject({
      ...{ toRead: 1, read: 0, items: [{ id, ownerName: 'Wren Adeyemi-Holt' }] },
    })
    for (const name of ['tomasz', 'kit', 'mireille']) {
      const browser = await as(name)
      expect((await browser.get('/api/review-desk')).body).toEqual([])
      for (const path of [
        `submissions/${id}`,
        `submissions/${id}/parts/1`,
        `assignments/${assignment}/queue`,
      ])
        expect((await browser.get(`/api/${path}`)).status).toBe(404)
    }
  })

  it('are shut to an assessor whose time in the class is over', async () => {
    const { odalys, id, reader, site } = await startSealed(open)
    await site.services.database
      .writer('memberships')
      .where({ role: 'assessor' })
      .update({ untilAt: '2026-11-20T00:00:00.000Z' })
    expect((await odalys.get(`/api/submissions/${id}`)).status).toBe(404)
    expect((await odalys.get(`/api/submissions/${id}/parts/1`)).status).toBe(404)
    expect(await reader()('submissions')).toHaveLength(1)
  })

  it('are accepted with one level of the scale, as it was called then', async () => {
    const { wren, odalys, id, assignment } = await startSealed(open)
    expect((await answer(odalys, id, { act: 'accept', levelId: 'gone' })).body.reason).toBe('no-such-level')
    expect((await answer(odalys, id, accept)).body).toMatchObject({ state: 'accepted', mayUndo: true })
    expect((await answer(odalys, id, ask)).body.reason).toBe('already-answered')
    const { body } = await wren.get(`/api/submissions/${id}`)
    expect(body).toMatchObject({
      level: { level: { name: { en: 'On my own' } }, position: 3, of: 3 },
      decidedByName: 'Odalys Fenn',
      mayUndo: false,
    })
    expect(await newsKinds(wren)).toContain('work-accepted')
    expect((await wren.get('/api/today')).body.steps).toEqual([])
    expect((await handInChosen(wren, assignment)).body.reason).toBe('already-accepted')
    const { body: queue } = await odalys.get(`/api/assignments/${assignment}/queue?shelf=read`)
    expect(queue).toMatchObject({ toRead: 0, read: 1, items: [{ id }] })
  })

  it('forget an answer that is undone within a minute', async () => {
    const { wren, odalys, id, pass } = await startSealed(open)
    await answer(odalys, id, ask)
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toMatchObject([
      { text: ask.words, isRequest: true, isOpen: false },
    ])
    const { body } = await odalys.delete(`/api/submissions/${id}/outcome`)
    expect(body).toMatchObject({
      submission: { state: 'with-assessor', level: null, decidedAt: null },
      outcome: { act: 'ask-for-changes', words: ask.words },
    })
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toEqual([])
    expect(await newsKinds(wren)).not.toContain('changes-asked')
    await answer(odalys, id, accept)
    pass(2)
    expect((await odalys.delete(`/api/submissions/${id}/outcome`)).body.reason).toBe('too-late-to-undo')
  })

  it('take feedback along with an answer, which an undo gives back to whoever wrote it', async () => {
    const { wren, odalys, id } = await startSealed(open)
    const feedback = { part: 1, isOpen: true, text: 'A clear map' }
    const unreadable = { ...feedback, text: ' ' }
    expect((await answer(odalys, id, { ...accept, feedback: unreadable })).status).toBe(422)
    expect((await odalys.get(`/api/submissions/${id}`)).body.state).toBe('with-assessor')

    await answer(odalys, id, { ...accept, feedback })
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toMatchObject([feedback])
    // One thing happened, so it is one piece of news.
    expect(await newsKinds(wren)).not.toContain('feedback-given')

    const undone = await odalys.delete(`/api/submissions/${id}/outcome`)
    expect(undone.body.outcome).toEqual({ ...accept, feedback })
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toEqual([])

    await answer(odalys, id, { ...ask, feedback })
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toHaveLength(2)
    const again = await odalys.delete(`/api/submissions/${id}/outcome`)
    expect(again.body.outcome).toEqual({ ...ask, feedback })
  })

  onSqlite('are answered once, however often the same answer is delivered', async () => {
    const { odalys, id } = await startSealed(open)
    const { body } = await odalys.get(`/api/submissions/${id}`)
    const feedback = { part: null, isOpen: false, text: 'Good' }
    const deliver = () =>
      odalys.post(
        `/api/submissions/${id}/outcome`,
        { ...accept, feedback },
        { 'if-match': `"r${body.revision}"`, 'idempotency-key': 'answer-to-wren' },
      )
    expect([(await deliver()).status, (await deliver()).status]).toEqual([200, 200])
    expect((await odalys.get(`/api/submissions/${id}/feedback`)).body).toHaveLength(1)
  })

  onSqlite('stand in one queue over all assignments: the oldest to read, the newest read', async () => {
    const { site, wren, odalys, id, school, page, pass, assignment } = await startSealed(open)
    pass(1)
    const second = await setAssignment(odalys, school.classes.methods)
    const later = await handInSealed(site, wren, second, [{ kind: 'page', id: page.id }])
    const queue = async (query = '') => (await odalys.get(`/api/review-desk/queue${query}`)).body
    expect(await queue()).toMatchObject({
      ...{ assignment: null, toRead: 2, read: 0 },
      items: [
        { id, assignmentId: assignment },
        { id: later, assignmentId: second },
      ],
    })
    const { next } = await queue('?limit=1')
    expect((await queue(`?limit=1&cursor=${encodeURIComponent(next)}`)).items).toMatchObject([{ id: later }])
    await odalys.post(`/api/submissions/${later}/open`)
    for (const one of [id, later]) await answer(odalys, one, accept)
    expect(await queue('?shelf=read')).toMatchObject({ toRead: 0, read: 2, items: [{ id: later }, { id }] })
    expect((await wren.get('/api/review-desk/queue')).body).toMatchObject({ toRead: 0, read: 0, items: [] })
  })

  onSqlite('come again after changes, beside what was before', async () => {
    const { site, wren, odalys, id, page, assignment, publish } = await startSealed(open)
    await answer(odalys, id, ask)
    expect((await wren.get('/api/today')).body.steps).toMatchObject([{ kind: 'change' }])
    await sendEdit(wren, `/api/pages/${page.id}`, { base: 2, operations: [writeText('t', 'By chance')] })
    await publish(wren, page.id, 3)
    const again = (await handInChosen(wren, assignment)).body
    await site.services.jobs.drain()
    expect((await wren.get(`/api/submissions/${id}`)).body.state).toBe('replaced')
    const { body } = await odalys.post(`/api/submissions/${again.id}/open`)
    expect(body).toMatchObject({ n: 2, number: 'MB-0002', previousId: id })
    const part = (await odalys.get(`/api/submissions/${again.id}/parts/1`)).body
    expect(part.fromPrevious).toMatchObject([{ what: 'changed', pieceId: 't' }])
    const { body: queue } = await odalys.get(`/api/assignments/${assignment}/queue`)
    expect(queue.items).toMatchObject([{ id: again.id }])
  })

  onSqlite(
    'show what changed since: to the author their draft, to assessors what is open to them',
    async () => {
      const { wren, odalys, id, page, publish, school } = await startSealed(open)
      const since = async (browser: TestBrowser) => {
        const { body } = await browser.get(`/api/submissions/${id}/parts/1`)
        return [body.since, body.changes.length]
      }
      expect([await since(wren), await since(odalys)]).toEqual([
        ['same', 0],
        ['unseen', 0],
      ])
      await sendEdit(wren, `/api/pages/${page.id}`, { base: 2, operations: [writeText('t', 'By chance')] })
      await wren.post('/api/passes', {
        thing: { kind: 'page', id: page.id },
        audience: { kind: 'assessors', classId: school.classes.methods },
        ...{ rights: ['look'], firstDay: null, lastDay: null },
      })
      expect([await since(wren), await since(odalys)]).toEqual([
        ['changed', 1],
        ['same', 0],
      ])
      await publish(wren, page.id, 3)
      expect(await since(odalys)).toEqual(['changed', 1])
    },
  )

  it('carry feedback: private to author and assessors, open to whoever may look at the page', async () => {
    const { as, wren, odalys, id, page, school } = await startSealed(open)
    const say = (browser: TestBrowser, part: number | null, isOpen: boolean, text: string) =>
      browser.post(`/api/submissions/${id}/feedback`, { part, isOpen, text })
    expect((await say(odalys, null, true, 'Good')).body.reason).toBe('only-private-here')
    expect((await say(odalys, 9, false, 'Good')).status).toBe(404)
    expect((await say(odalys, 1, false, '  ')).status).toBe(422)
    await say(odalys, 1, true, 'A clear map')
    await say(odalys, 1, false, 'Say more about chance')
    await say(wren, 1, false, 'I will')
    expect(await newsKinds(wren)).toContain('feedback-given')
    expect(await newsKinds(odalys)).toContain('feedback-given')
    const path = `/api/pages/${page.id}/feedback`
    const own = (await wren.get(path)).body
    expect(own.submissions).toMatchObject([{ id, state: 'with-assessor' }])
    expect(own.feedback.map(({ text }: { text: string }) => text)).toEqual([
      ...['A clear map', 'Say more about chance', 'I will'],
    ])
    const tomasz = await as('tomasz')
    expect((await tomasz.get(path)).status).toBe(404)
    await wren.post('/api/passes', {
      thing: { kind: 'page', id: page.id },
      audience: { kind: 'class', classId: school.classes.methods },
      ...{ rights: ['look'], firstDay: null, lastDay: null },
    })
    expect((await tomasz.get(path)).body).toMatchObject({
      submissions: [],
      feedback: [{ text: 'A clear map', authorName: 'Odalys Fenn' }],
    })
    expect((await say(tomasz, 1, false, 'Me too')).status).toBe(404)
    expect((await wren.get('/api/today')).body.feedback).toHaveLength(2)
  })
})
