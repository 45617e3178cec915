// Assignments: who sets, changes and ends them.
import {
  assignmentInput,
  describeEachDatabase,
  pageWanted,
  setAssignment,
  startSealed,
  startSubmissions,
  statementWanted,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('assignments', (open, onSqlite) => {
  it('are set, changed and ended by assessors of the class alone', async () => {
    const { as, school, wren, odalys } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const path = `/api/assignments/${assignment}`
    const kit = await as('kit')
    expect(await setAssignment(wren, school.classes.methods)).toBeUndefined()
    expect(await setAssignment(odalys, school.classes.crew)).toBeUndefined()
    expect((await kit.get(path)).status).toBe(404)
    expect((await wren.put(`${path}/end`, undefined)).status).toBe(404)
    await odalys.put(`${path}/end`, undefined)
    expect((await wren.get(`${path}/hand-in`)).body.decision.reason).toBe('assignment-ended')
    expect((await wren.get('/api/today')).body.steps).toEqual([])
    await odalys.delete(`${path}/end`)
    expect((await wren.get('/api/today')).body.steps).toHaveLength(1)
    expect((await odalys.get('/api/assignments')).body.items).toMatchObject([{ students: 2, toRead: 0 }])
    expect((await odalys.delete(path)).status).toBe(204)
    expect((await wren.get(path)).status).toBe(404)
  })

  onSqlite('cannot be removed once somebody handed in', async () => {
    const { odalys, assignment } = await startSealed(open)
    expect((await odalys.delete(`/api/assignments/${assignment}`)).body.reason).toBe('has-submissions')
  })
})

describeEachDatabase('an assignment', (open, onSqlite) => {
  const refusal = ({ status, body }: Awaited<ReturnType<TestBrowser['get']>>) => [
    status,
    body.reason,
    body.errors?.map(({ path }: { path: string }) => path) ?? [],
  ]

  onSqlite('is refused in words where something of it cannot be', async () => {
    const { school, odalys } = await startSubmissions(open)
    const set = async (change: object) =>
      refusal(
        await odalys.post('/api/assignments', {
          classId: school.classes.methods,
          ...assignmentInput,
          ...change,
        }),
      )
    expect(await set({ title: { en: ' \n ' } })).toEqual([422, 'invalid-input', ['/title/en']])
    expect(await set({ dueLocal: '2026-13-40T17:00' })).toEqual([422, 'invalid-input', ['/dueLocal']])
    expect(await set({ requirements: [pageWanted, pageWanted] })).toEqual([422, 'invalid-input', []])
    expect((await set({ scale: [{ id: 'one', name: { en: 'One' } }] }))[0]).toBe(422)
    expect((await set({ requirements: [{ ...statementWanted, words: 0 }] }))[0]).toBe(422)
    expect((await odalys.get('/api/assignments')).body.count).toBe(0)
  })

  onSqlite('is due by the clock of the school: a time that exists twice is the later one', async () => {
    const { school, odalys, wren } = await startSubmissions(open)
    const dueOf = async (dueLocal: string) => {
      const id = await setAssignment(odalys, school.classes.methods, { dueLocal })
      return (await wren.get(`/api/assignments/${id}`)).body.dueAt
    }
    expect(await dueOf('2027-01-10T17:00')).toBe('2027-01-10T17:00:00.000Z')
    expect(await dueOf('2027-07-10T17:00')).toBe('2027-07-10T16:00:00.000Z')
    // On 31 October 2027 the clocks in Lisbon go back from two to one.
    expect(await dueOf('2027-10-31T01:30')).toBe('2027-10-31T01:30:00.000Z')
    // On 28 March 2027 they go forward from one to two: half past one is not, so it is half past two.
    expect(await dueOf('2027-03-28T01:30')).toBe('2027-03-28T01:30:00.000Z')
  })

  onSqlite('tells the students of its class, and nobody else, in all of its languages', async () => {
    const { as, school, odalys, wren } = await startSubmissions(open)
    await setAssignment(odalys, school.classes.methods)
    const newsOf = async (browser: TestBrowser) => (await browser.get('/api/news')).body.items
    const [news] = await newsOf(wren)
    expect(news).toMatchObject({ kind: 'assignment-set', params: { className: 'Shore Methods' } })
    expect(news.params.title).toEqual(assignmentInput.title)
    for (const other of [odalys, await as('kit'), await as('mireille')])
      expect((await newsOf(other)).map(({ kind }: { kind: string }) => kind)).not.toContain('assignment-set')
  })

  onSqlite(
    'is changed by one window at a time, and what was handed in keeps what was asked then',
    async () => {
      const { odalys, wren, assignment, id } = await startSealed(open)
      const path = `/api/assignments/${assignment}`
      const change = (revision: number, title: string) =>
        odalys.put(path, { ...assignmentInput, title: { en: title }, requirements: [pageWanted] }, revision)
      expect((await change(1, 'Two banks')).body).toMatchObject({ title: { en: 'Two banks' }, revision: 2 })
      expect((await change(1, 'Too late')).status).toBe(412)
      expect((await wren.get(path)).body.title).toEqual({ en: 'Two banks' })
      expect((await odalys.get(`/api/submissions/${id}`)).body.readiness).toMatchObject([
        { requirement: { kind: 'rights' } },
      ])
    },
  )

  it('is listed page by page, what was set last first, for its assessors alone', async () => {
    const { school, odalys, wren, pass } = await startSubmissions(open)
    for (let n = 0; n < 5; n += 1) {
      await setAssignment(odalys, school.classes.methods, { title: { en: `No. ${n}` } })
      pass(1)
    }
    const first = (await odalys.get('/api/assignments?limit=3')).body
    const next = encodeURIComponent(first.next)
    const second = (await odalys.get(`/api/assignments?limit=3&cursor=${next}`)).body
    const titles = [...first.items, ...second.items].map(({ title }: { title: { en: string } }) => title.en)
    expect(titles).toEqual(['No. 4', 'No. 3', 'No. 2', 'No. 1', 'No. 0'])
    expect([first.count, second.next]).toEqual([5, null])
    expect((await wren.get('/api/assignments')).body.items).toEqual([])
  })

  onSqlite('is written into the records with its settings, and without its words', async () => {
    const { as, school, odalys } = await startSubmissions(open)
    const id = await setAssignment(odalys, school.classes.methods, { title: { en: 'Storm week' } })
    await odalys.put(`/api/assignments/${id}/end`, undefined)
    const { items } = (await (await as('mireille')).get('/api/records')).body
    const acts = items.filter(({ subject }: { subject: string }) => subject === 'assignment')
    expect(acts.map(({ action }: { action: string }) => action)).toEqual([
      'assignment-ended',
      'assignment-set',
    ])
    expect(acts[0].changes).toEqual({ ended: [false, true] })
    expect(JSON.stringify(acts)).not.toContain('Storm week')
  })
})
