import { personNamed, systemActor } from '@valise/core/people'
import { productRoutes } from '../app.ts'
import { createClass } from '../classes/index.ts'
import { inTransaction } from '../database/index.ts'
import { createMembership, createPerson, savePassword } from '../people/index.ts'
import {
  addTextRow,
  assignmentInput,
  describeEachDatabase,
  handInSealed,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  setAssignment,
  TEST_PASSWORD,
  upload,
} from '../testing/index.ts'
import type { SmallSchool, TestBrowser, TestSite } from '../testing/index.ts'

/** Every route, asked with ids that belong to somebody else; a new route is walked without being listed here. */
describeEachDatabase('every route, as everybody', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const as = async (name: string | null) => {
      const browser = site.browser()
      if (name !== null) await browser.signIn(name)
      return browser
    }
    return { site, school, as }
  }

  /** What some routes want before they look whose thing it is. */
  const absentId = '01890000-0000-7000-8000-000000000000'
  const edit = { base: 1, editId: absentId, windowId: absentId, operations: [{ op: 'set-title', title: '' }] }
  const bodies: Record<string, object> = {
    '/api/evidence/{id}/voices/{voiceId}': { moments: [] },
    '/api/evidence/{id}/versions/{n}/recipe': { schema: 1, steps: [] },
    '/api/collages': { size: 'wide', pictures: [] },
    '/api/collages/{id}': {
      ...{ schema: 1, size: 'wide', layers: [] },
      background: { kind: 'colour', colour: 'paper' },
    },
    '/api/evidence/{id}/versions': { from: 1 },
    '/api/picture-shelf/{id}/reports': { words: 'x' },
    '/api/notes/{id}': { text: { type: 'doc', content: [{ type: 'paragraph' }] } },
    '/api/pages/{id}/edits': edit,
    '/api/entries/{id}/edits': edit,
    '/api/entries/{id}': { day: '2026-11-24' },
    '/api/passes/{id}': { firstDay: null, lastDay: null },
    '/api/assignments/{id}': assignmentInput,
    '/api/assignments/{id}/hand-in': { parts: [] },
    '/api/assignments/{id}/submissions': { gaps: [], terms: 0 },
    '/api/submissions/{id}/outcome': { act: 'accept', levelId: 'a' },
    '/api/submissions/{id}/feedback': { part: null, isOpen: false, text: 'x' },
    '/api/collections/{id}': { operations: [{ op: 'set-title', title: '' }] },
    '/api/logbooks/{id}': { title: 'Visits' },
    '/api/logbooks/{id}/entries': { day: '2026-11-24', title: '', lang: 'en' },
  }

  const askRoute = (browser: TestBrowser, { spec }: (typeof productRoutes)[number], id: string) => {
    const values = { id, otherId: absentId, n: '1', kind: 'thumbnail', piece: 'p', file: 'f.webp' }
    const path = Object.entries(values).reduce(
      (text, [name, value]) => text.replace(`{${name}}`, value),
      spec.path,
    )
    const body = spec.body ? (bodies[spec.path] ?? {}) : undefined
    return browser.ask(spec.method.toUpperCase(), path, body, { 'if-match': '"r1"' })
  }

  it('answers with 401 to nobody wherever one must be somebody', async () => {
    const { school, as } = await start()
    const nobody = await as(null)
    for (const route of productRoutes.filter(({ spec }) => spec.who !== 'anyone')) {
      const { status } = await askRoute(nobody, route, school.people.wren)
      expect([route.spec.path, status]).toEqual([route.spec.path, 401])
    }
  })

  it.each(['wren', 'odalys', 'kit'])('shuts what administrators do to %s', async (name) => {
    const { school, as, site } = await start()
    const browser = await as(name)
    const before = await snapshot(site)
    for (const route of productRoutes.filter(({ spec }) => spec.who === 'administrator')) {
      for (const id of [school.people.tomasz, school.classes.crew, '01890000-0000-7000-8000-000000000000']) {
        const { status } = await askRoute(browser, route, id)
        expect([route.spec.path, status]).toEqual([route.spec.path, 403])
      }
    }
    expect(await snapshot(site)).toEqual(before)
  })

  it('answers for foreign and for absent ids alike', async () => {
    const { school, as } = await start()
    const kit = await as('kit')
    const withId = productRoutes.filter(
      ({ spec }) => spec.who !== 'administrator' && spec.path.includes('{id}'),
    )
    expect(withId.length).toBeGreaterThan(0)
    for (const route of withId) {
      for (const foreign of [school.classes.methods, school.people.wren]) {
        const here = await askRoute(kit, route, foreign)
        const absent = await askRoute(kit, route, '01890000-0000-7000-8000-000000000000')
        expect([route.spec.path, here.status, here.body.reason]).toEqual([route.spec.path, 404, 'not-found'])
        expect(absent.body.title).toBe(here.body.title)
      }
    }
  })

  describe('with ids of things that are there', () => {
    /** One of everything that Wren owns, and a visitor who holds a link to another page of hers. */
    async function startWithThings() {
      const { site, school, as } = await start()
      const wren = await as('wren')
      const begin = async (path: string, body: object) => (await wren.post(path, body)).body.id as string
      const publish = async (title: string) => {
        const id = await begin('/api/pages', { title, lang: 'en' })
        await sendEdit(wren, `/api/pages/${id}`, { base: 1, operations: [addTextRow('p', title)] })
        await wren.ask('POST', `/api/pages/${id}/published`, undefined, { 'if-match': '"r2"' })
        return id
      }
      const pass = {
        audience: { kind: 'link', name: 'Family' },
        rights: ['look'],
        firstDay: null,
        lastDay: null,
      }
      const shared = { kind: 'page', id: await publish('Shown to family') }
      const link = (await wren.post('/api/passes', { ...pass, thing: shared })).body
      const visitor = await as(null)
      await visitor.get(link.address)
      expect((await visitor.get(`/api/pages/${shared.id}/published`)).status).toBe(200)
      const logbooks = await begin('/api/logbooks', { title: 'Visits' })
      const day = { day: '2026-11-24', title: '', lang: 'en' }
      const things: Record<string, string> = {
        pages: await publish('Transect 3'),
        collections: await begin('/api/collections', { title: 'Shore year' }),
        passes: link.id,
        logbooks,
        entries: await begin(`/api/logbooks/${logbooks}/entries`, day),
        evidence: (await upload(wren, { name: 'a.txt', content: Buffer.from('silt') })).body.outcome
          .evidenceId,
      }
      await addNightSurvey(site, school)
      const rufus = await as('rufus')
      const assignments = await setAssignment(rufus, (await rufus.get('/api/classes')).body[0].id)
      const parts = [{ kind: 'page', id: things['pages'] ?? '' }] as const
      const submissions = await handInSealed(site, wren, assignments, parts)
      expect((await rufus.post(`/api/submissions/${submissions}/open`)).status).toBe(200)
      Object.assign(things, { assignments, submissions })
      return { site, school, as, things, visitor }
    }

    /** A class that Wren studies in and none of those who walk, with an assessor of its own. */
    async function addNightSurvey({ services }: TestSite, school: SmallSchool) {
      const hash = await services.passwords.hash(TEST_PASSWORD)
      await inTransaction(services.database, async (trx) => {
        const actor = systemActor('test')
        const { id: classId } = await createClass(trx, actor, { name: 'Night Survey', code: 'NIGHT' })
        const { person } = await createPerson(trx, actor, personNamed('Rufus Brandt-Osei'))
        await savePassword(trx, person.id, hash)
        const days = { firstDay: null, lastDay: null }
        await createMembership(trx, actor, person.id, { classId, role: 'assessor', ...days })
        await createMembership(trx, actor, school.people.wren, { classId, role: 'student', ...days })
      })
    }

    it('answers to every role as if there were nothing, on every route', async () => {
      const { as, things, visitor } = await startWithThings()
      const browsers = { visitor, nobody: await as(null) } as Record<string, TestBrowser>
      for (const name of ['tomasz', 'odalys', 'kit', 'mireille']) browsers[name] = await as(name)
      const walked = productRoutes.flatMap((route) => {
        const [, room = ''] = /^\/api\/(\w+)\/\{id\}/.exec(route.spec.path) ?? []
        const id = things[room]
        return id === undefined ? [] : [{ route, id }]
      })
      expect(walked.length).toBeGreaterThan(60)
      for (const [role, browser] of Object.entries(browsers))
        for (const { route, id } of walked) {
          const there = await askRoute(browser, route, id)
          const absent = await askRoute(browser, route, absentId)
          const isSignedIn = !['visitor', 'nobody'].includes(role)
          const expected = isSignedIn || route.spec.who === 'anyone' ? 404 : 401
          expect([role, route.spec.method, route.spec.path, there.status]).toEqual([
            ...[role, route.spec.method, route.spec.path, expected],
          ])
          expect({ ...there.body, request: '' }).toEqual({ ...absent.body, request: '' })
        }
    })
  })

  async function snapshot(site: Awaited<ReturnType<typeof start>>['site']) {
    const { sql } = site.services.database.reader()
    return { people: await sql('people').orderBy('id'), classes: await sql('classes').orderBy('id') }
  }
})
