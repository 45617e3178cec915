// Every route, asked by everybody with ids of things that belong to somebody else. A route that nothing here knows fails.
import { thingDefinitionOf, thingKinds } from '@valise/core/things'
import { createApp, productRoutes } from '../app.ts'
import {
  allRows,
  askOf,
  asksOf,
  bodies,
  nameOf,
  describeEachDatabase,
  driveOfOne,
  makeOneOfEverything,
  makeSmallSchool,
  makeTestSite,
  testConfig,
  thingNames,
  TUS,
} from '../testing/index.ts'
import type { Ask, TestBrowser, TestSite, ThingIds, ThingOfEachKind } from '../testing/index.ts'

/** These ids are those of outside services, and nobody's here. */
const ofOutsideServices = [
  'GET /api/drive/folders/{id}',
  'GET /api/picture-shelf/{id}/small',
  'POST /api/picture-shelf/{id}/reports',
]

/** Beginning a thing; entries and evidence have no such route. */
const begins = thingKinds.map((kind) => `POST /api/${thingDefinitionOf(kind).path}`)

/** These take what the caller says and touch nothing but what is the caller's own. */
const ofTheCaller = [
  'POST /api/session',
  'PATCH /api/preferences',
  'PUT /api/password',
  'POST /api/password/forgotten',
  'POST /api/password/chosen',
  'PUT /api/evidence/tags',
  'POST /api/evidence/queries',
  'POST /api/links/preview',
  'POST /api/links',
  'POST /api/notes',
  'POST /api/drive/documents',
  'POST /api/picture-shelf/taken',
  'POST /api/phone-links',
  ...begins,
  'PUT /api/news/seen',
]

const bytes = { 'content-type': 'application/offset+octet-stream' }
/** What is mounted beside the routes: how it is asked for somebody else's thing, or why there is nothing to ask. */
const handMounted: Readonly<Record<string, (ids: ThingIds) => readonly Ask[]>> = {
  'ALL /api/uploads/:id?': ({ upload }) => [
    { method: 'HEAD', path: `/api/uploads/${upload}`, headers: TUS },
    {
      ...{ method: 'PATCH', path: `/api/uploads/${upload}`, body: 'mine!' },
      headers: { ...TUS, ...bytes, 'upload-offset': '0' },
    },
    { method: 'DELETE', path: `/api/uploads/${upload}`, headers: TUS },
  ],
  'POST /api/evidence/:id/poster': ({ picture }) => [
    {
      ...{ method: 'POST', path: `/api/evidence/${picture}/poster`, body: 'poster' },
      headers: { ...bytes, 'content-length': '6' },
    },
  ],
  // Codes are secrets; an id is none.
  'GET /open/:code': ({ pass }) => [{ method: 'GET', path: `/open/${pass}` }],
  'GET /phone/:code': ({ phoneLink }) => [{ method: 'GET', path: `/phone/${phoneLink}` }],
  'GET /api/phone': () => [{ method: 'GET', path: '/api/phone' }],
  'POST /api/phone/files': () => [
    {
      ...{ method: 'POST', path: '/api/phone/files?name=a', body: 'photo' },
      headers: { 'content-type': 'application/octet-stream', 'content-length': '5' },
    },
  ],
  'GET /api/openapi.json': () => [],
}

/** Administrators look at every class. */
const openToAdministrators = ['GET /api/classes/{id}']

/** What the things of this test do not have: a picture has no table inside, and a student no queue. */
const nothingThere = [
  'GET /api/evidence/{id}/versions/{n}/inside',
  'GET /api/evidence/{id}/versions/{n}/table',
  'GET /api/assignments/{id}/queue',
]

const absentId = '01890000-0000-7000-8000-000000000000'
// The names of a piece and of a file are no ids; that they lie in what is absent is enough.
const absent = (ids: ThingIds): ThingIds =>
  ({
    ...Object.fromEntries(thingNames.map((name) => [name, absentId])),
    ...{ piece: ids.piece, file: ids.file },
  }) as ThingIds

const noThings = (things: ThingOfEachKind) =>
  Object.fromEntries(Object.keys(things).map((kind) => [kind, absentId])) as ThingOfEachKind

const asksForThings = ({ spec }: (typeof productRoutes)[number]) =>
  spec.who !== 'administrator' &&
  (spec.path.includes('{') || spec.body !== undefined) &&
  ![...ofOutsideServices, ...ofTheCaller].includes(nameOf(spec))
const lists = productRoutes.filter(
  ({ spec }) => spec.method === 'get' && spec.who !== 'administrator' && !spec.path.includes('{'),
)

describeEachDatabase('every route, as everybody', (open, onSqlite) => {
  // Made once: nothing that is refused changes it, which is what the tests want to see.
  let world: ReturnType<typeof makeWorld> | undefined
  const start = () => (world ??= makeWorld())

  async function makeWorld() {
    const site = makeTestSite(await open(), [], testConfig, { drive: driveOfOne })
    const school = await makeSmallSchool(site.services)
    const { owner, visitor, ...made } = await makeOneOfEverything(site, school)
    const browsers: Record<string, TestBrowser> = { visitor, nobody: site.browser() }
    for (const name of ['tomasz', 'odalys', 'kit', 'mireille']) {
      const browser = (browsers[name] = site.browser())
      await browser.signIn(name)
    }
    return { site, ...made, owner, browsers }
  }
  const send = (browser: TestBrowser, { method, path, body, headers }: Ask) =>
    browser.ask(method, path, body, headers)
  const isSignedIn = (role: string) => !['visitor', 'nobody'].includes(role)

  onSqlite('is known here, those beside the routes included', async () => {
    const site = makeTestSite(await open())
    const known = productRoutes.map(({ spec }) => nameOf(spec).replace(/\{(\w+)\}/g, ':$1'))
    const mounted = createApp(site.services).routes.map(({ method, path }) => `${method} ${path}`)
    const beside = mounted.filter((name) => !known.includes(name) && !/^ALL (\/api)?\/\*$/.test(name))
    expect([...new Set(beside)].sort()).toEqual(Object.keys(handMounted).sort())
    // What is listed by name is there, so that no list outlives its routes.
    const names = productRoutes.map(({ spec }) => nameOf(spec))
    expect(names).toEqual(
      expect.arrayContaining([
        ...[...ofOutsideServices, ...nothingThere, ...Object.keys(bodies)],
        ...ofTheCaller.filter((name) => !begins.includes(name)),
      ]),
    )
  })

  it('answers for things of others as if there were nothing, and changes none of them', async () => {
    const { site, ids, everyPiece, things, browsers } = await start()
    const before = await writtenDown(site)
    const routes = productRoutes.filter(asksForThings)
    const nowhere = { everyPiece: { ...everyPiece, id: absentId }, things: noThings(things) }
    for (const [role, browser] of Object.entries(browsers))
      for (const { spec } of routes) {
        const name = nameOf(spec)
        if (role === 'mireille' && openToAdministrators.includes(name)) continue
        const others = asksOf(spec, absent(ids), nowhere)
        const expected = isSignedIn(role) || spec.who === 'anyone' ? 404 : 401
        for (const [n, ask] of asksOf(spec, ids, { everyPiece, things }).entries()) {
          const there = await send(browser, ask)
          const none = await send(browser, others[n] ?? ask)
          expect([role, name, there.status]).toEqual([role, name, expected])
          expect([name, { ...there.body, request: '' }]).toEqual([name, { ...none.body, request: '' }])
        }
      }
    for (const [role, browser] of Object.entries(browsers))
      for (const [name, asks] of Object.entries(handMounted)) {
        const others = asks(absent(ids))
        for (const [n, ask] of asks(ids).entries()) {
          const there = await send(browser, ask)
          const none = await send(browser, others[n] ?? ask)
          expect([role, name, there.status >= 300]).toEqual([role, name, true])
          expect([name, there.status, there.headers.get('location')]).toEqual([
            ...[name, none.status, none.headers.get('location')],
          ])
        }
      }
    expect(await writtenDown(site)).toEqual(before)
  }, 240_000)

  it('lists nothing of others', async () => {
    const { ids, things, browsers } = await start()
    // People and classes are no secret to whoever administers or studies with them.
    const { person: _p, class: _c, tides: _t, membership: _m, piece: _piece, ...named } = ids
    const secrets = { ...named, ...things }
    for (const [role, browser] of Object.entries(browsers))
      for (const { spec } of lists) {
        const { bytes: answer, status } = await browser.get(spec.path)
        expect([role, spec.path, status]).not.toEqual([role, spec.path, 500])
        const leaked = Object.entries(secrets).filter(([, id]) => answer.includes(id))
        expect([role, spec.path, leaked]).toEqual([role, spec.path, []])
      }
  })

  onSqlite('opens to its owner, so that what is refused to others is there', async () => {
    const { ids, everyPiece, things, owner } = await start()
    const reads = productRoutes.filter((route) => asksForThings(route) && route.spec.method === 'get')
    const shut: string[] = []
    for (const { spec } of reads)
      for (const ask of asksOf(spec, ids, { everyPiece, things }))
        if ((await send(owner, ask)).status !== 200) shut.push(nameOf(spec))
    expect(shut).toEqual(nothingThere)
  })

  onSqlite('answers with 401 to nobody wherever one must be somebody', async () => {
    const { ids, everyPiece, things, browsers } = await start()
    for (const { spec } of productRoutes.filter(({ spec: { who } }) => who !== 'anyone')) {
      const known = spec.path.includes('{') && !ofOutsideServices.includes(nameOf(spec))
      const [asked] = known && !spec.body ? asksOf(spec, ids, { everyPiece, things }) : []
      const ask = asked ?? { method: spec.method.toUpperCase(), path: spec.path }
      const { status } = await send(browsers['nobody'] ?? fail(), ask)
      expect([spec.path, status]).toEqual([spec.path, 401])
    }
  })

  onSqlite.each(['tomasz', 'odalys', 'kit'])('shuts what administrators do to %s', async (name) => {
    const { site, ids, browsers } = await start()
    const before = await writtenDown(site)
    for (const { spec } of productRoutes.filter(({ spec: { who } }) => who === 'administrator'))
      for (const some of [ids, absent(ids)]) {
        const { status } = await send(browsers[name] ?? fail(), askOf(spec, some))
        expect([nameOf(spec), status]).toEqual([nameOf(spec), 403])
      }
    expect(await writtenDown(site)).toEqual(before)
  })
})

function fail(): never {
  throw new Error('no such browser')
}

/** All that is written down, but when somebody was seen, and what counts tries. */
const writtenDown = ({ services }: TestSite) => allRows(services.database, ['sessions', 'rateLimits'])
