// The law of plans: whatever a route, a job or a sweep asks of the database is found by an index. A new route or a new
// statement is held to it without being told.
import { productRoutes } from '../app.ts'
import { planBinSweep } from '../bin/index.ts'
import { planSweep } from '../evidence/index.ts'
import {
  askSpecially,
  asksOf,
  describeEachDatabase,
  driveOfOne,
  findFaults,
  makeOneOfEverything,
  makeSmallSchool,
  makeTestSite,
  nameOf,
  recordStatements,
  testConfig,
  write,
} from '../testing/index.ts'
import type { TestSite } from '../testing/index.ts'
import type { RouteSpec } from './route.ts'

/** What may be read from end to end. */
const mayBeRead: readonly { readonly table: string; readonly in: RegExp; readonly because: string }[] = [
  { table: 'schools', in: /^select/, because: 'it has one row' },
  { table: 'clockChecks', in: /^(select|update)/, because: 'it has one row' },
  {
    table: 'yearGroups',
    in: /order by .position/,
    because: 'a school has a handful, and they are listed whole',
  },
  { table: 'classes', in: /^select .classes.\.\*/, because: 'administrators list every class' },
  {
    table: 'people',
    in: /order by .people.\..sortName.+ limit /,
    because: 'it ends with the first page of all people',
  },
  {
    table: 'people',
    in: /^select count.+ from .people. left join .yearGroupStays. /,
    because: 'administrators see how many people their search finds',
  },
  {
    table: 'auditRecords',
    in: /order by .r.\..at. desc.+ limit /,
    because: 'it ends with the newest page of all records',
  },
]

/** Those of a service that the test has not. */
const unanswered = [
  'GET /api/picture-shelf',
  'GET /api/picture-shelf/{id}/small',
  'POST /api/picture-shelf/taken',
  'POST /api/picture-shelf/{id}/reports',
]

/** What ends things is asked for last, in an order that lets each do something. */
const isEnding = ({ method, path }: RouteSpec) =>
  method === 'delete' || /\/(end|ended|bin|take-back|password|chosen|outcome)$/.test(path)

const planted: readonly [what: string, sql: string, faults: readonly string[]][] = [
  ['a look by key', `select * from "passes" where "id" = 'x'`, []],
  ['a look at everything', `select * from "passes" where "revision" = 7`, ['passes']],
  ['a walk along an index that nothing ends', 'select count(*) from "things"', ['things']],
  [
    'a list that is made whole before one row of it is looked for',
    `select * from "passes" left join (select max("id") as "newest", "personId" from "memberships" group by "personId")
      as "latest" on "latest"."personId" = "passes"."personId" where "passes"."id" = 'x'`,
    ['memberships'],
  ],
]

describeEachDatabase('plans', (open) => {
  it.each(planted)('are told apart: %s', async (_, sql, tables) => {
    const database = await open()
    const faults = await findFaults(database, { sql, bindings: [] })
    expect(faults.map(({ table }) => table)).toEqual(expect.arrayContaining([...tables]))
    if (tables.length === 0) expect(faults).toEqual([])
  })

  it('find by an index whatever routes, jobs and sweeps ask for', async () => {
    const site = makeTestSite(await open(), [], testConfig, { drive: driveOfOne })
    const { database, jobs } = site.services
    const answered = noteAnswers(site)
    const statements = recordStatements(database)
    const school = await makeSmallSchool(site.services)
    const made = await makeOneOfEverything(site, school)
    const { owner, visitor } = made
    const [assessor, administrator, stranger] = [site.browser(), site.browser(), site.browser()]
    await assessor.signIn('rufus')
    await administrator.signIn('mireille')
    await stranger.signIn('tomasz')
    const everybody = [owner, visitor, assessor, administrator, stranger, site.browser()]

    for (const { spec } of productRoutes.filter((route) => !isEnding(route.spec)))
      for (const { method, path, body } of asksOf(spec, made.ids, made))
        for (const browser of everybody) await write(browser, method, path, body)
    await jobs.drain()
    await askSpecially(site, made, { owner, assessor, administrator })
    await planSweep(site.services)
    await planBinSweep(site.services)
    await jobs.drain()

    const names = productRoutes.map(({ spec }) => nameOf(spec))
    expect(names.filter((name) => !answered.has(name))).toEqual(unanswered)
    const faults = new Set<string>()
    for (const statement of statements.values())
      for (const { table, said } of await findFaults(database, statement))
        if (!mayBeRead.some((one) => one.table === table && one.in.test(statement.sql)))
          faults.add(`${said} of ${table}: ${statement.sql}`)
    expect([...faults]).toEqual([])
  }, 240_000)
})

/** Returns the routes that were answered well, which go on growing. */
function noteAnswers({ services }: TestSite): ReadonlySet<string> {
  const answered = new Set<string>()
  const note: typeof services.log.answered = ({ method, route, status }) => {
    if (status < 300) answered.add(`${method} ${route.replace(/:(\w+)/g, '{$1}')}`)
  }
  Object.assign(services.log, { answered: note })
  return answered
}
