import { productRoutes } from '../app.ts'
import { describeEachDatabase, makeSmallSchool, makeTestSite } from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'

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
    '/api/evidence/{id}/versions': { from: 1 },
    '/api/pages/{id}/edits': edit,
    '/api/entries/{id}/edits': edit,
    '/api/entries/{id}': { day: '2026-11-24' },
    '/api/logbooks/{id}': { title: 'Visits' },
    '/api/logbooks/{id}/entries': { day: '2026-11-24', title: '', lang: 'en' },
  }

  const askRoute = (browser: TestBrowser, { spec }: (typeof productRoutes)[number], id: string) => {
    const values = { id, otherId: absentId, n: '1', kind: 'thumbnail', piece: 'p' }
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
    const withId = productRoutes.filter(({ spec }) => spec.who === 'signed-in' && spec.path.includes('{id}'))
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

  async function snapshot(site: Awaited<ReturnType<typeof start>>['site']) {
    const { sql } = site.services.database.reader()
    return { people: await sql('people').orderBy('id'), classes: await sql('classes').orderBy('id') }
  }
})
