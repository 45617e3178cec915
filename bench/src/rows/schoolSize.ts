// What grows with a school must not slow down one look: passes, people, assignments.
import type Database from 'better-sqlite3'
import { compare, timed } from '../compare.ts'
import type { Row as Measured } from '../compare.ts'
import { firstRow, idOf, insertCopies, openSampleCopy } from '../sampleWorld.ts'
import type { Row, SampleCopy } from '../sampleWorld.ts'

const ROUNDS = 30
const PASSES_ON_EACH = 10
const READER = 'tomasz'
const OWNER = 'wren'

/** One look at somebody else's page, with all the rest of the school shared in the reader's class. */
export function pageLook(): Promise<Measured> {
  return comparePasses('one look at a page, 200,000 passes', async (ask) => await findPage(ask))
}

/** One picture of such a page. */
export function pagePicture(): Promise<Measured> {
  return comparePasses('one picture of a page, 200,000 passes', async (ask) => {
    const { html } = (await (await ask(await findPage(ask))).json()) as { html: string }
    const [, address] = /src="(\/api\/pages\/[^"]+)"/.exec(html) ?? []
    if (address === undefined) throw new Error('the page shows no picture')
    return address
  })
}

/** The feedback on a submission, in a school of many. */
export async function feedbackThread(): Promise<Measured> {
  const find = async (ask: Ask) => {
    const { items } = (await (await ask('/api/submissions?limit=50')).json()) as { items: { id: string }[] }
    for (const { id } of items) {
      const path = `/api/submissions/${id}/feedback`
      if (((await (await ask(path)).json()) as unknown[]).length > 0) return path
    }
    throw new Error('nothing was said on any submission')
  }
  const large = await openSampleCopy((database) => addPeople(database, 2000))
  const small = await openSampleCopy((database) => addPeople(database, 20))
  return compareCopies({
    name: 'a feedback thread, 2,000 people',
    limit: 1.5,
    large,
    small,
    who: OWNER,
    find,
  })
}

/** Today, with many assignments to be done. */
export async function todayOfMany(): Promise<Measured> {
  const large = await openSampleCopy((database) => setAssignments(database, 200))
  const small = await openSampleCopy((database) => setAssignments(database, 5))
  const find = () => Promise.resolve('/api/today')
  const [many, few] = await Promise.all(
    [large, small].map(async (copy) => {
      const ask = await copy.askAs(OWNER)
      return copy.countQueries(() => ask('/api/today'))
    }),
  )
  if (many !== few) throw new Error(`Today asks ${String(many)} questions for 200 and ${String(few)} for 5`)
  return compareCopies({ name: 'Today at 200 assignments', limit: 2, large, small, who: OWNER, find })
}

type Ask = (path: string) => Promise<Response>

async function comparePasses(name: string, find: (ask: Ask) => Promise<string>): Promise<Measured> {
  const large = await openSampleCopy((database) => addPasses(database, 200_000))
  const small = await openSampleCopy((database) => addPasses(database, 20_000))
  return compareCopies({ name, limit: 1.3, large, small, who: READER, find })
}

interface Copies {
  readonly name: string
  readonly limit: number
  readonly large: SampleCopy
  readonly small: SampleCopy
  readonly who: string
  /** Finds the address that is asked for. */
  find(ask: Ask): Promise<string>
}

async function compareCopies({ name, limit, large, small, who, find }: Copies): Promise<Measured> {
  try {
    const [ours, reference] = await Promise.all(
      [large, small].map(async (copy) => {
        const ask = await copy.askAs(who)
        const path = await find(ask)
        return () => timed(ROUNDS, async () => void (await (await ask(path)).arrayBuffer()))
      }),
    )
    if (!ours || !reference) throw new Error('there is nothing to compare')
    return await compare({ name, limit, unit: 'ms per answer', ours, reference })
  } finally {
    await large.close()
    await small.close()
  }
}

/** The first page that others shared with somebody. */
async function findPage(ask: Ask): Promise<string> {
  const { items } = (await (await ask('/api/shared-with-me?limit=50')).json()) as {
    items: { thing: { kind: string; id: string } }[]
  }
  const page = items.find(({ thing }) => thing.kind === 'page')
  if (!page) throw new Error(`nobody shared a page with ${READER}`)
  return `/api/pages/${page.thing.id}/published`
}

/** Adds people without a sign-in of their own. */
function addPeople(database: Database.Database, count: number): void {
  const person = firstRow(database, 'SELECT * FROM people WHERE signInName = ?', READER)
  insertCopies(database, 'people', person, count, (n) => ({
    ...{ id: idOf('0001', n), signInName: `person-${n}`, signInKey: `person-${n}`, administrator: 0 },
    sortName: `zz ${n}`,
  }))
}

/** Adds published pages of other people, each shared in the reader's class and with nine people by name. */
function addPasses(database: Database.Database, count: number): void {
  addPeople(database, 400)
  const things = count / PASSES_ON_EACH
  const owner = (n: number) => idOf('0001', n % 400)
  const page = firstRow(database, 'SELECT * FROM pages WHERE published IS NOT NULL AND isBinned = 0')
  const thing = firstRow(database, 'SELECT * FROM things WHERE id = ?', String(page['id']))
  const own = (n: number) => ({ id: idOf('0002', n), ownerId: owner(n) })
  const draft = firstRow(database, 'SELECT * FROM drafts WHERE id = ?', String(page['id']))
  insertCopies(database, 'things', thing, things, own)
  insertCopies(database, 'drafts', draft, things, (n) => ({ id: idOf('0002', n) }))
  insertCopies(database, 'pages', page, things, own)
  const reader = firstRow(database, 'SELECT * FROM people WHERE signInName = ?', READER)
  const { classId } = firstRow(database, 'SELECT * FROM memberships WHERE personId = ?', String(reader['id']))
  const pass = firstRow(database, `SELECT * FROM passes WHERE endedAt IS NULL AND untilAt IS NULL`)
  insertCopies(database, 'passes', pass, count, (n) => {
    const at = Math.floor(n / PASSES_ON_EACH)
    const isForClass = n % PASSES_ON_EACH === 0
    return {
      ...{ id: idOf('0003', n), thingId: idOf('0002', at), ownerId: owner(at), linkName: null },
      audience: isForClass ? 'class' : 'person',
      classId: isForClass ? (classId ?? null) : null,
      // Every fifth of the others is for the reader.
      personId: isForClass ? null : n % 5 === 1 ? (reader['id'] ?? null) : owner(n),
    }
  })
}

/** Has a class so many assignments that run, each wanting what those of the sample world want. */
function setAssignments(database: Database.Database, count: number): void {
  const owner = firstRow(database, 'SELECT * FROM people WHERE signInName = ?', OWNER)
  const { classId } = firstRow(
    database,
    `SELECT classId FROM memberships WHERE role = 'student' AND personId = ?`,
    String(owner['id']),
  )
  const running = database
    .prepare('SELECT * FROM assignments WHERE classId = ? AND endedAt IS NULL ORDER BY id')
    .all(classId) as Row[]
  const [wanting = null] = running
  if (!wanting) throw new Error('the class has no assignment')
  insertCopies(database, 'assignments', wanting, count - running.length, (n) => ({
    ...(running[n % running.length] ?? {}),
    // Set before the others, whose parts are chosen already.
    ...{ id: idOf('0004', n), setAt: '2026-09-01T08:00:00.000Z' },
  }))
}
