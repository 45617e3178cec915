// Handing in: readiness, what goes in, refusals, taking back.
import type { CheckedRequirement } from '@valise/core/assignments'
import {
  choose,
  describeEachDatabase,
  handInChosen,
  newsKinds,
  pageWanted,
  rightsWanted,
  sayOf,
  sendEdit,
  setAssignment,
  startSealed,
  startSubmissions,
  statementWanted,
  writeText,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('submissions, handed in,', (open, onSqlite) => {
  it('are prepared with readiness that follows every mending', async () => {
    const { school, wren, odalys, addPage } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods, {
      requirements: [pageWanted, statementWanted, rightsWanted],
    })
    expect(await newsKinds(wren)).toContain('assignment-set')
    const { id, evidenceId } = await addPage('Transect 3')
    const thereIn = ({ readiness }: { readiness: CheckedRequirement[] }) =>
      readiness.filter(({ result }) => result.isThere).map(({ requirement }) => requirement.id)
    const path = `/api/assignments/${assignment}/hand-in`
    const empty = (await wren.get(path)).body
    expect(empty).toMatchObject({ parts: [], decision: { reason: 'nothing-goes-in' } })
    expect(thereIn(empty)).toEqual([])
    const chosen = (await choose(wren, assignment, [{ kind: 'page', id }])).body
    expect(thereIn(chosen)).toEqual(['page'])
    expect(chosen).toMatchObject({ totals: { parts: 1, pieces: 2, files: 1 }, assessors: ['Odalys Fenn'] })
    const item = (await wren.get(`/api/evidence/${evidenceId}`)).body
    await wren.patch(`/api/evidence/${evidenceId}`, { rights: { state: 'mine' } }, item.revision)
    await sayOf(wren, evidenceId, 'The creek bends at this stake')
    // The page was published before; what is declared about its item since goes in with it.
    expect(thereIn((await wren.get(path)).body)).toEqual(['page', 'statement', 'rights'])
    expect((await wren.get('/api/today')).body.steps).toMatchObject([{ kind: 'hand-in', there: 3, gaps: [] }])
  })

  onSqlite('ask nothing of whoever came after it was due', async () => {
    const { school, wren, odalys } = await startSubmissions(open)
    const setDue = (dueLocal: string) => setAssignment(odalys, school.classes.methods, { dueLocal })
    const [before, after] = [await setDue('2026-08-31T17:00'), await setDue('2026-09-01T17:00')]
    expect((await wren.get('/api/today')).body.steps).toMatchObject([{ assignmentId: after }])
    // Who wants to can hand it in all the same.
    expect((await wren.get(`/api/assignments/${before}/hand-in`)).status).toBe(200)
  })

  onSqlite('offer the published copy of a page or its draft, and say what is newer', async () => {
    const { school, wren, odalys, addPage } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const { id } = await addPage('Transect 3')
    await sendEdit(wren, `/api/pages/${id}`, { base: 2, operations: [writeText('t', 'Changed')] })
    const hidden = await addPage('Storm week', false)
    const parts = [
      { kind: 'page', id },
      { kind: 'page', id: hidden.id },
    ] as const
    const { body } = await choose(wren, assignment, parts)
    expect(body.parts).toMatchObject([
      { title: 'Transect 3', goesIn: true, changes: 1, draftRevision: 3 },
      { title: 'Storm week', goesIn: false, publishedAt: null },
    ])
    expect(body.totals.parts).toBe(1)
    const drafts = parts.map((part) => ({ ...part, copy: 'draft' as const }))
    expect((await choose(wren, assignment, drafts)).body.totals.parts).toBe(2)
  })

  onSqlite('keep a choice of one’s own things only, changed by one window at a time', async () => {
    const { school, as, wren, odalys, addPage } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const path = `/api/assignments/${assignment}/hand-in`
    const { id } = await addPage('Transect 3')
    const tomasz = await as('tomasz')
    expect((await choose(tomasz, assignment, [{ kind: 'page', id }])).status).toBe(404)
    await choose(wren, assignment, [{ kind: 'page', id }])
    expect((await wren.put(path, { parts: [] }, 1)).status).toBe(412)
    const kit = await as('kit')
    expect((await kit.get(path)).status).toBe(404)
    // Whoever assesses the class hands nothing in there.
    expect((await odalys.get(path)).status).toBe(404)
  })

  it('refuse what is not as the student saw it, and gaps where they are forbidden', async () => {
    const { school, wren, odalys, addPage } = await startSubmissions(open)
    const terms = [{ en: 'This is my own work.' }]
    const assignment = await setAssignment(odalys, school.classes.methods, {
      ...{ requirements: [rightsWanted], terms, allowsGaps: false },
    })
    const { id } = await addPage('Transect 3')
    const { body } = await choose(wren, assignment, [{ kind: 'page', id }])
    const handIn = (seen: object, revision = body.revision) =>
      wren.post(`/api/assignments/${assignment}/submissions`, seen, { 'if-match': `"r${revision}"` })
    expect((await handIn({ gaps: ['rights'], terms: 1 })).body.reason).toBe('gaps-forbidden')
    const { revision, id: _, ...input } = (await odalys.get(`/api/assignments/${assignment}`)).body
    const {
      classId: __,
      className: ___,
      classCode: ____,
      dueAt: _____,
      setAt: ______,
      endedAt: _______,
      guideId: ________,
      ...wish
    } = input
    await odalys.put(`/api/assignments/${assignment}`, { ...wish, allowsGaps: true }, revision)
    expect((await handIn({ gaps: [], terms: 1 })).body.reason).toBe('readiness-changed')
    expect((await handIn({ gaps: ['rights'], terms: 1 }, 99)).body.reason).toBe('readiness-changed')
    expect((await handIn({ gaps: ['rights'], terms: 0 })).body.reason).toBe('terms-open')
    expect((await handIn({ gaps: ['rights'], terms: 1 })).status).toBe(202)
    expect((await handIn({ gaps: ['rights'], terms: 1 })).body.reason).toBe('still-sealing')
  })

  onSqlite(
    'have one effect when sent twice, and count as late from the moment they were asked for',
    async () => {
      const { school, wren, odalys, addPage, pass, seal } = await startSubmissions(open)
      const assignment = await setAssignment(odalys, school.classes.methods)
      const { id } = await addPage('Transect 3')
      pass(31 * 60)
      await wren.signIn('wren')
      const { body } = await choose(wren, assignment, [{ kind: 'page', id }])
      const send = () =>
        wren.post(
          `/api/assignments/${assignment}/submissions`,
          { gaps: [], terms: 0 },
          {
            'if-match': `"r${body.revision}"`,
            'idempotency-key': 'the same each time',
          },
        )
      const [first, second] = [await send(), await send()]
      expect(second.body.id).toBe(first.body.id)
      expect(first.body.lateMinutes).toBeGreaterThanOrEqual(41)
      pass(60)
      await seal()
      await wren.signIn('wren')
      expect((await wren.get(`/api/submissions/${first.body.id}`)).body.lateMinutes).toBe(
        first.body.lateMinutes,
      )
    },
  )

  onSqlite('can be taken back until opened, and are then nothing to the assessor', async () => {
    const { wren, odalys, id, assignment } = await startSealed(open, false)
    expect((await odalys.get(`/api/submissions/${id}/parts/1`)).body.reason).toBe('open-it-first')
    const takeBack = () => wren.post(`/api/submissions/${id}/take-back`)
    expect((await Promise.all([takeBack(), takeBack()])).map(({ status }) => status)).toEqual([200, 200])
    expect((await takeBack()).body.state).toBe('taken-back')
    expect((await odalys.get(`/api/submissions/${id}`)).status).toBe(404)
    expect((await odalys.get('/api/review-desk/count')).body.live).toBe(0)
    const { body } = await handInChosen(wren, assignment)
    expect(body).toMatchObject({ n: 2 })
  })

  onSqlite('cannot be taken back once opened, which the student is told', async () => {
    const { wren, id } = await startSealed(open)
    expect((await wren.post(`/api/submissions/${id}/take-back`)).body.reason).toBe('opened-already')
    const { body } = await wren.get(`/api/submissions/${id}`)
    expect(body).toMatchObject({ mayTakeBack: false, openedByName: 'Odalys Fenn' })
    expect(await newsKinds(wren)).toContain('copy-opened')
  })

  onSqlite('cost Today the same number of queries for many assignments as for one', async () => {
    const { site, school, wren, odalys, addPage } = await startSubmissions(open)
    const { id } = await addPage('Transect 3')
    const add = async (n: number) => {
      const assignment = await setAssignment(odalys, school.classes.methods, { requirements: [pageWanted] })
      const copy = n % 2 === 0 ? ('draft' as const) : ('published' as const)
      await choose(wren, assignment, [{ kind: 'page', id, copy }])
      await handInChosen(wren, assignment)
      return assignment
    }
    const countQueries = async (browser: TestBrowser, path: string) => {
      let count = 0
      const onQuery = () => (count += 1)
      const { sql } = site.services.database.reader()
      sql.on('query', onQuery)
      expect((await browser.get(path)).status).toBe(200)
      sql.removeListener('query', onQuery)
      return count
    }
    const first = await add(0)
    await site.services.jobs.drain()
    const paths: [TestBrowser, string][] = [
      [wren, '/api/today'],
      [wren, '/api/submissions'],
      [wren, `/api/pages/${id}/feedback`],
      [odalys, '/api/today'],
      [odalys, '/api/assignments'],
      [odalys, '/api/review-desk'],
      [odalys, `/api/assignments/${first}/queue`],
    ]
    const countAll = async () => {
      const counts: number[] = []
      for (const [browser, path] of paths) counts.push(await countQueries(browser, path))
      return counts
    }
    const few = await countAll()
    for (let n = 1; n < 8; n += 1) await add(n)
    await site.services.jobs.drain()
    expect(await countAll()).toEqual(few)
    expect(Math.max(...few)).toBeLessThanOrEqual(26)
  })
})
