// Every route, asked by everybody with ids of things that belong to somebody else. A route that nothing here knows fails.
import { valuesOf } from '@valise/core/testing'
import { thingDefinitionOf, thingKinds } from '@valise/core/things'
import fc from 'fast-check'
import { createApp, productRoutes } from '../app.ts'
import {
  allRows,
  assignmentInput,
  describeEachDatabase,
  driveOfOne,
  makeOneOfEverything,
  makeSmallSchool,
  makeTestSite,
  testConfig,
  thingNames,
  TUS,
} from '../testing/index.ts'
import type { PageOfEveryPiece, TestBrowser, TestSite, ThingIds, ThingOfEachKind } from '../testing/index.ts'
import type { RouteSpec } from './route.ts'

interface Ask {
  readonly method: string
  readonly path: string
  readonly body?: unknown
  readonly headers?: Record<string, string>
}

const nameOf = ({ method, path }: RouteSpec) => `${method.toUpperCase()} ${path}`

/**
 * Whose id stands for `{id}`, by what the path begins with; the longer beginning wins. Things of a kind that is not
 * named are asked for below the path of their kind.
 */
const idsOfPaths: Readonly<Record<string, keyof ThingIds>> = {
  '/api/assignments/': 'assignment',
  '/api/classes/': 'class',
  '/api/collages/': 'collage',
  '/api/collections/': 'collection',
  '/api/entries/': 'entry',
  '/api/evidence/': 'picture',
  '/api/evidence/queries/': 'savedQuery',
  '/api/evidence/{id}/drive': 'driveDocument',
  '/api/links/': 'link',
  '/api/logbooks/': 'logbook',
  '/api/memberships/': 'membership',
  '/api/notes/': 'note',
  '/api/pages/': 'page',
  '/api/passes/': 'pass',
  '/api/people/': 'person',
  '/api/phone-links/': 'phoneLink',
  '/api/sessions/': 'session',
  '/api/submissions/': 'submission',
  '/api/tray/': 'picture',
  '/api/uploads/': 'upload',
}

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

/** Bodies that are well-formed, so that the refusal is about whose thing it is. */
const edit = (id: string) => ({
  ...{ base: 1, editId: id, windowId: id },
  operations: [{ op: 'set-title', title: '' }],
})
const days = { firstDay: null, lastDay: null }
const bodies: Readonly<Record<string, (ids: ThingIds) => unknown>> = {
  'PUT /api/evidence/rights': ({ picture }) => ({ ids: [picture], rights: { state: 'mine' } }),
  'PUT /api/evidence/tagged': ({ picture }) => ({ ids: [picture], add: ['x'] }),
  'PUT /api/tray': ({ picture }) => ({ ids: [picture] }),
  'PUT /api/bin': ({ picture }) => ({ ids: [picture] }),
  'PUT /api/evidence/{id}/voices/{voiceId}': () => ({ moments: [] }),
  'PUT /api/evidence/{id}/versions/{n}/recipe': () => ({ schema: 1, steps: [] }),
  'PATCH /api/evidence/{id}': () => ({ title: 'Mine now' }),
  'POST /api/evidence/{id}/versions': () => ({ from: 1 }),
  'POST /api/collages': ({ picture }) => ({ size: 'wide', pictures: [picture] }),
  'PUT /api/collages/{id}': () => ({
    ...{ schema: 1, size: 'wide', layers: [] },
    background: { kind: 'colour', colour: 'paper' },
  }),
  'PUT /api/notes/{id}': () => ({ text: { type: 'doc', content: [{ type: 'paragraph' }] } }),
  'PATCH /api/logbooks/{id}': () => ({ title: 'Visits' }),
  'POST /api/logbooks/{id}/entries': () => ({ day: '2026-11-24', title: '', lang: 'en' }),
  'PATCH /api/entries/{id}': () => ({ day: '2026-11-24' }),
  'POST /api/entries/{id}/edits': ({ entry }) => edit(entry),
  'POST /api/pages/{id}/edits': ({ page }) => edit(page),
  'PATCH /api/collections/{id}': () => ({ operations: [{ op: 'set-title', title: '' }] }),
  'POST /api/passes': ({ page }) => ({
    ...{
      thing: { kind: 'page', id: page },
      audience: { kind: 'link', name: 'Mine' },
      rights: ['look'],
      ...days,
    },
  }),
  'PATCH /api/passes/{id}': () => days,
  'POST /api/assignments': ({ class: classId }) => ({ classId, ...assignmentInput }),
  'PUT /api/assignments/{id}': () => assignmentInput,
  'PUT /api/assignments/{id}/hand-in': () => ({ parts: [] }),
  'POST /api/assignments/{id}/submissions': () => ({ gaps: [], terms: 0 }),
  'POST /api/submissions/{id}/outcome': () => ({ act: 'accept', levelId: 'own' }),
  'POST /api/submissions/{id}/feedback': () => ({ part: null, isOpen: false, text: 'x' }),
}

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

/**
 * Every way to ask a route for things: one, but for what all things share, which is asked for with one of each kind,
 * and for what pieces hand out, which is asked for by its names.
 */
function asksOf(spec: RouteSpec, ids: ThingIds, { everyPiece, things }: Asked): Ask[] {
  if (spec.path.startsWith('/api/things/')) return Object.values(things).map((id) => askOf(spec, ids, { id }))
  const kind = thingKinds.find((one) => spec.path.startsWith(`/api/${thingDefinitionOf(one).path}/{id}`))
  const isNamed = Object.keys(idsOfPaths).some((one) => spec.path.startsWith(one))
  if (kind && !isNamed) return [askOf(spec, ids, { id: things[kind] })]
  if (!spec.path.includes('{handOut}')) return [askOf(spec, ids)]
  const { id: page, handOuts } = everyPiece
  return handOuts.map(({ piece, handOut }) => askOf(spec, { ...ids, page, piece }, { handOut }))
}

interface Asked {
  readonly everyPiece: Pick<PageOfEveryPiece, 'id' | 'handOuts'>
  readonly things: ThingOfEachKind
}

function askOf(spec: RouteSpec, ids: ThingIds, more: Readonly<Record<string, string>> = {}): Ask {
  const name = nameOf(spec)
  const [beginning] = Object.keys(idsOfPaths)
    .filter((one) => spec.path.startsWith(one))
    .sort((a, b) => b.length - a.length)
  const isKnown = beginning !== undefined || more['id'] !== undefined
  if (spec.path.includes('{id}') && !isKnown) throw new Error(`no id for ${name}`)
  const thing = beginning === undefined ? undefined : idsOfPaths[beginning]
  const values: Record<string, string> = {
    ...{ id: thing ? ids[thing] : '', n: '1', kind: 'thumbnail', piece: ids.piece, file: ids.file },
    ...{ otherId: thing === 'entry' ? ids.entryVersion : ids.otherVersion },
    ...{ voiceId: ids.voice, handOut: 'screen', ...more },
  }
  return {
    method: spec.method.toUpperCase(),
    path: spec.path.replace(/\{(\w+)\}/g, (_, key: string) => {
      const value = values[key]
      if (value === undefined) throw new Error(`no value for {${key}} of ${name}`)
      return value
    }),
    ...(spec.body && { body: bodies[name]?.(ids) ?? anyBody(spec.body) }),
    headers: { 'if-match': '"r1"' },
  }
}

/** Whatever a route takes. */
function anyBody(schema: NonNullable<RouteSpec['body']>): unknown {
  return fc.sample(valuesOf(schema), { seed: 4, numRuns: 1 })[0]
}

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
    const { person: _p, class: _c, membership: _m, piece: _piece, ...named } = ids
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
