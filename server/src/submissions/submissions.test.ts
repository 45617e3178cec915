import { createHash, createPublicKey, verify } from 'node:crypto'
import { newEvidencePiece, newTextPiece, textOf } from '@valise/core/pages'
import { addMinutes } from '@valise/core/time'
import { shiftedClock } from '../clock.ts'
import {
  addTextRow,
  choose,
  describeEachDatabase,
  handInChosen,
  handInSealed,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  pageWanted,
  rightsWanted,
  sendEdit,
  setAssignment,
  statementWanted,
  TEST_START,
  upload,
  writeText,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

describeEachDatabase('submissions', (open) => {
  async function start() {
    const offset = { minutes: 0 }
    const base = shiftedClock(TEST_START)
    const clock = { now: () => addMinutes(base.now(), offset.minutes) }
    const site = makeTestSite(await open({ clock }))
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const [wren, odalys] = [await as('wren'), await as('odalys')]
    const seal = () => site.services.jobs.drain()
    /** A page with words and a picture, published. */
    const addPage = async (title: string, isPublished = true) => {
      const { body } = await upload(wren, { name: 'map.png', content: await makePicture() })
      await seal()
      const picture = newEvidencePiece('map', { id: body.outcome.evidenceId, kind: 'picture' })
      const id = (await wren.post('/api/pages', { title, lang: 'en' })).body.id as string
      const row = { id: 'row-map', pieces: [{ ...picture, alternativeText: 'A map' }] }
      const operations = [
        addTextRow('t', `${title} at low water`),
        { op: 'insert-row' as const, row, after: 'row-t' },
      ]
      await sendEdit(wren, `/api/pages/${id}`, { base: 1, operations })
      if (isPublished) await publish(wren, id, 2)
      return { id, evidenceId: body.outcome.evidenceId as string }
    }
    const publish = (browser: TestBrowser, id: string, revision: number) =>
      browser.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': `"r${revision}"` })
    const pass = (minutes: number) => (offset.minutes += minutes)
    return { site, school, as, wren, odalys, seal, addPage, publish, pass }
  }
  type Started = Awaited<ReturnType<typeof start>>

  /** Wren's page handed in, sealed and, unless said otherwise, opened by Odalys. */
  async function startSealed(isOpened = true) {
    const started = await start()
    const { site, school, wren, odalys, addPage } = started
    const assignment = await setAssignment(odalys, school.classes.methods, { requirements: [rightsWanted] })
    const page = await addPage('Transect 3')
    const id = await handInSealed(site, wren, assignment, [{ kind: 'page', id: page.id }])
    if (isOpened) await odalys.post(`/api/submissions/${id}/open`)
    const reader = () => site.services.database.reader().sql
    return { ...started, assignment, page, id, reader }
  }
  const answer = async (browser: TestBrowser, id: string, outcome: object) => {
    const { body } = await browser.get(`/api/submissions/${id}`)
    return browser.ask('POST', `/api/submissions/${id}/outcome`, outcome, {
      'if-match': `"r${body.revision}"`,
    })
  }
  const accept = { act: 'accept', levelId: 'own' }
  const ask = { act: 'ask-for-changes', words: 'Say how you chose the places.' }
  const newsKinds = async (browser: TestBrowser) =>
    (await browser.get('/api/news')).body.items.map(({ kind }: { kind: string }) => kind)

  it('are prepared with readiness that follows every mending', async () => {
    const { school, wren, odalys, addPage } = await start()
    const assignment = await setAssignment(odalys, school.classes.methods, {
      requirements: [pageWanted, statementWanted, rightsWanted],
    })
    expect(await newsKinds(wren)).toContain('assignment-set')
    const { id, evidenceId } = await addPage('Transect 3')
    const thereIn = (body: { readiness: { id: string; isThere: boolean }[] }) =>
      body.readiness.filter(({ isThere }) => isThere).map((line) => line.id)
    const path = `/api/assignments/${assignment}/hand-in`
    const empty = (await wren.get(path)).body
    expect(empty).toMatchObject({ parts: [], decision: { reason: 'nothing-goes-in' } })
    expect(thereIn(empty)).toEqual([])
    const chosen = (await choose(wren, assignment, [{ kind: 'page', id }])).body
    expect(thereIn(chosen)).toEqual(['page'])
    expect(chosen).toMatchObject({ totals: { parts: 1, pieces: 2, files: 1 }, assessors: ['Odalys Fenn'] })
    const item = (await wren.get(`/api/evidence/${evidenceId}`)).body
    const statement = 'The creek bends at this stake'
    await wren.patch(`/api/evidence/${evidenceId}`, { statement, rights: { state: 'mine' } }, item.revision)
    // The page was published before; what is declared about its item since goes in with it.
    expect(thereIn((await wren.get(path)).body)).toEqual(['page', 'statement', 'rights'])
    expect((await wren.get('/api/today')).body.steps).toMatchObject([{ kind: 'hand-in', there: 3, gaps: [] }])
  })

  it('ask nothing of whoever came after it was due', async () => {
    const { school, wren, odalys } = await start()
    const setDue = (dueLocal: string) => setAssignment(odalys, school.classes.methods, { dueLocal })
    const [before, after] = [await setDue('2026-08-31T17:00'), await setDue('2026-09-01T17:00')]
    expect((await wren.get('/api/today')).body.steps).toMatchObject([{ assignmentId: after }])
    // Who wants to can hand it in all the same.
    expect((await wren.get(`/api/assignments/${before}/hand-in`)).status).toBe(200)
  })

  it('offer the published copy of a page or its draft, and say what is newer', async () => {
    const { school, wren, odalys, addPage } = await start()
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

  it('keep a choice of one’s own things only, changed by one window at a time', async () => {
    const { school, as, wren, odalys, addPage } = await start()
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

  it('are sealed with everything that they show, under a manifest and a signed receipt', async () => {
    const { site, wren, id, reader } = await startSealed()
    const { body } = await wren.get(`/api/submissions/${id}`)
    expect(body).toMatchObject({ state: 'with-assessor', number: 'MB-0001', n: 1, lateMinutes: 0, gaps: 1 })
    const paths = (await reader()('sealedFiles').orderBy('path')).map(({ path }) => path)
    expect(paths).toEqual([
      expect.stringMatching(/^files\/.*-1-screen\.webp$/),
      ...['manifest.json', 'paper.css', 'parts/1/document.json', 'parts/1/index.html', 'submission.json'],
    ])
    const proof = (await wren.get(`/api/submissions/${id}/receipt`)).body
    const signed = Buffer.from(proof.receipt)
    const key = createPublicKey(proof.publicKey)
    expect(verify(null, signed, key, Buffer.from(proof.signature, 'base64url'))).toBe(true)
    expect(
      verify(null, Buffer.from(`${proof.receipt} `), key, Buffer.from(proof.signature, 'base64url')),
    ).toBe(false)
    const manifestSha256 = createHash('sha256').update(proof.manifest).digest('hex')
    expect(JSON.parse(proof.receipt)).toMatchObject({
      ...{ manifestSha256, number: 'MB-0001', gaps: ['rights'] },
      from: { shownName: 'Wren Adeyemi-Holt', fullName: 'Wren Adeyemi-Holt' },
    })
    expect((await wren.get(`/api/submissions/${id}/check`)).body).toEqual({ agrees: true, files: 6 })
    expect(await newsKinds(wren)).toContain('copy-sealed')
    // Sealing again, as after a server that stopped, changes nothing.
    await reader()('jobs').select()
    await site.services.jobs.drain()
    expect((await wren.get('/api/submissions')).body).toMatchObject({
      count: 1,
      items: [{ number: 'MB-0001' }],
    })
  })

  it('stay as they were whatever becomes of the page and its things', async () => {
    const { wren, odalys, id, page, site, pass } = await startSealed()
    const partOf = async () => (await odalys.get(`/api/submissions/${id}/parts/1`)).body
    const before = await partOf()
    expect(before.html).toContain('Transect 3 at low water')
    expect(before.html).toContain(`src="/api/submissions/${id}/files/`)
    const [, address = ''] = /src="([^"]+)"/.exec(before.html) ?? []
    expect((await odalys.get(address)).status).toBe(200)
    await sendEdit(wren, `/api/pages/${page.id}`, { base: 2, operations: [writeText('t', 'All new')] })
    await wren.put(`/api/pages/${page.id}/bin`, undefined)
    await wren.delete(`/api/pages/${page.id}`)
    await wren.put(`/api/evidence/${page.evidenceId}/bin`, undefined)
    await wren.delete(`/api/evidence/${page.evidenceId}`)
    pass(3 * 24 * 60)
    await site.services.jobs.drain()
    pass(3 * 24 * 60)
    await site.services.jobs.drain()
    await odalys.signIn('odalys')
    expect((await partOf()).html).toBe(before.html)
    expect((await odalys.get(address)).status).toBe(200)
    expect((await odalys.get(`/api/submissions/${id}/check`)).body.agrees).toBe(true)
  })

  it('tell when the bytes of a copy no longer agree', async () => {
    const { site, odalys, id } = await startSealed()
    const put = site.services.files.open.bind(site.services.files)
    Object.assign(site.services.files, {
      open: async (sha256: string) => {
        const stream = await put(sha256)
        const [first] = await stream.toArray()
        return [Buffer.concat([Buffer.from(first), Buffer.from('x')])]
      },
    })
    expect((await odalys.get(`/api/submissions/${id}/check`)).body.agrees).toBe(false)
  })

  it('wait for pictures that are still being made', async () => {
    const { site, school, wren, odalys, pass } = await start()
    const assignment = await setAssignment(odalys, school.classes.methods)
    const { body } = await upload(wren, { name: 'map.png', content: await makePicture() })
    const { evidenceId } = body.outcome
    await choose(wren, assignment, [{ kind: 'evidence', id: evidenceId }])
    const { body: handed } = await handInChosen(wren, assignment)
    expect(handed.state).toBe('sealing')
    // The picture was first in line; sealing looks again a moment later.
    await site.services.jobs.drain()
    pass(1)
    await site.services.jobs.drain()
    await odalys.post(`/api/submissions/${handed.id}/open`)
    const part = (await odalys.get(`/api/submissions/${handed.id}/parts/1`)).body
    expect(part.html).toContain('<img')
  })

  it('say so when sealing fails for good, and can be handed in again', async () => {
    const { site, school, wren, odalys, addPage, pass } = await start()
    const assignment = await setAssignment(odalys, school.classes.methods)
    const { id } = await addPage('Transect 3')
    await choose(wren, assignment, [{ kind: 'page', id }])
    await handInChosen(wren, assignment)
    const { put } = site.services.files
    Object.assign(site.services.files, { put: () => Promise.reject(new Error('the disk is away')) })
    for (let n = 0; n < 5; n += 1) {
      await expect(site.services.jobs.drain()).rejects.toThrow('the disk is away')
      pass(120)
    }
    Object.assign(site.services.files, { put })
    await wren.signIn('wren')
    const { items } = (await wren.get('/api/submissions')).body
    expect(items).toMatchObject([{ state: 'not-sealed', number: null }])
    expect(await newsKinds(wren)).toContain('sealing-failed')
    expect((await handInChosen(wren, assignment)).body).toMatchObject({ n: 2, state: 'sealing' })
  })

  it('refuse what is not as the student saw it, and gaps where they are forbidden', async () => {
    const { school, wren, odalys, addPage } = await start()
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
      ...kept
    } = input
    await odalys.put(`/api/assignments/${assignment}`, { ...kept, allowsGaps: true }, revision)
    expect((await handIn({ gaps: [], terms: 1 })).body.reason).toBe('readiness-changed')
    expect((await handIn({ gaps: ['rights'], terms: 1 }, 99)).body.reason).toBe('readiness-changed')
    expect((await handIn({ gaps: ['rights'], terms: 0 })).body.reason).toBe('terms-open')
    expect((await handIn({ gaps: ['rights'], terms: 1 })).status).toBe(202)
    expect((await handIn({ gaps: ['rights'], terms: 1 })).body.reason).toBe('still-sealing')
  })

  it('have one effect when sent twice, and count as late from the moment they were asked for', async () => {
    const { school, wren, odalys, addPage, pass, seal } = await start()
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
  })

  it('can be taken back until opened, and are then nothing to the assessor', async () => {
    const { wren, odalys, id, assignment } = await startSealed(false)
    expect((await odalys.get(`/api/submissions/${id}/parts/1`)).body.reason).toBe('open-it-first')
    expect((await wren.post(`/api/submissions/${id}/take-back`)).body.state).toBe('taken-back')
    expect((await odalys.get(`/api/submissions/${id}`)).status).toBe(404)
    expect((await odalys.get('/api/review-desk/count')).body.kept).toBe(0)
    const { body } = await handInChosen(wren, assignment)
    expect(body).toMatchObject({ n: 2 })
  })

  it('cannot be taken back once opened, which the student is told', async () => {
    const { wren, id } = await startSealed()
    expect((await wren.post(`/api/submissions/${id}/take-back`)).body.reason).toBe('opened-already')
    const { body } = await wren.get(`/api/submissions/${id}`)
    expect(body).toMatchObject({ mayTakeBack: false, openedByName: 'Odalys Fenn' })
    expect(await newsKinds(wren)).toContain('copy-opened')
  })

  it('stand in the queue of whoever assesses the class now, and of nobody else', async () => {
    const { as, odalys, id, assignment } = await startSealed(false)
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
    const { odalys, id, reader, site } = await startSealed()
    await site.services.database
      .writer('memberships')
      .where({ role: 'assessor' })
      .update({ untilAt: '2026-11-20T00:00:00.000Z' })
    expect((await odalys.get(`/api/submissions/${id}`)).status).toBe(404)
    expect((await odalys.get(`/api/submissions/${id}/parts/1`)).status).toBe(404)
    expect(await reader()('submissions')).toHaveLength(1)
  })

  it('are accepted with one level of the scale, as it was called then', async () => {
    const { wren, odalys, id, assignment } = await startSealed()
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
    const { wren, odalys, id, pass } = await startSealed()
    await answer(odalys, id, ask)
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toMatchObject([
      { text: ask.words, isRequest: true, isOpen: false },
    ])
    const { body } = await odalys.delete(`/api/submissions/${id}/outcome`)
    expect(body).toMatchObject({ state: 'with-assessor', level: null, decidedAt: null })
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toEqual([])
    expect(await newsKinds(wren)).not.toContain('changes-asked')
    await answer(odalys, id, accept)
    pass(2)
    expect((await odalys.delete(`/api/submissions/${id}/outcome`)).body.reason).toBe('too-late-to-undo')
  })

  it('come again after changes, beside what was before', async () => {
    const { site, wren, odalys, id, page, assignment, publish } = await startSealed()
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

  it('show what changed since: to the author their draft, to assessors what is open to them', async () => {
    const { wren, odalys, id, page, publish, school } = await startSealed()
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
  })

  it('carry feedback: private to author and assessors, open to whoever may look at the page', async () => {
    const { as, wren, odalys, id, page, school } = await startSealed()
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

  it('take in entries and evidence as they are at that second, with the words about them', async () => {
    const { site, school, wren, odalys } = await start()
    const assignment = await setAssignment(odalys, school.classes.methods)
    const file = await upload(wren, { name: 'silt.csv', content: Buffer.from('m,ntu\n0,12\n') })
    const evidenceId = file.body.outcome.evidenceId as string
    const item = (await wren.get(`/api/evidence/${evidenceId}`)).body
    await wren.patch(`/api/evidence/${evidenceId}`, { statement: 'Twice the silt <here>' }, item.revision)
    const logbook = (await wren.post('/api/logbooks', { title: 'Visits' })).body.id
    const day = { day: '2026-11-24', title: 'Counting', lang: 'en' }
    const entry = (await wren.post(`/api/logbooks/${logbook}/entries`, day)).body.id
    const operations = [
      {
        op: 'insert-row' as const,
        row: { id: 'r', pieces: [newTextPiece('words', textOf('I counted again'))] },
        after: null,
      },
    ]
    await sendEdit(wren, `/api/entries/${entry}`, { base: 1, operations })
    const parts = [
      { kind: 'entry', id: entry },
      { kind: 'evidence', id: evidenceId },
    ] as const
    const id = await handInSealed(site, wren, assignment, parts)
    await odalys.post(`/api/submissions/${id}/open`)
    const htmlOf = async (n: number) => (await odalys.get(`/api/submissions/${id}/parts/${n}`)).body.html
    expect(await htmlOf(1)).toContain('I counted again')
    expect(await htmlOf(2)).toContain('Twice the silt &lt;here&gt;')
    const [, address = ''] = /href="([^"]+)"/.exec(await htmlOf(2)) ?? []
    expect((await odalys.get(address)).bytes.toString()).toBe('m,ntu\n0,12\n')
  })

  it('cost Today the same number of queries for many assignments as for one', async () => {
    const { site, school, wren, odalys, addPage } = await start()
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

  it('are set, changed and ended by assessors of the class alone', async () => {
    const { as, school, wren, odalys }: Started = await start()
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

  it('hold their assignment when somebody handed in', async () => {
    const { odalys, assignment } = await startSealed()
    expect((await odalys.delete(`/api/assignments/${assignment}`)).body.reason).toBe('has-submissions')
  })
})
