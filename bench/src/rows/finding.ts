// Finding again in the large world: a filtered page, the counts beside the filters, words inside.
import { closeServices, createApp, databaseFile, openServices, readConfig } from '@valise/server'
import Database from 'better-sqlite3'
import { compare } from '../compare.ts'
import type { Row } from '../compare.ts'
import { LARGE_SIGN_IN, largeWorldFolder } from '../largeWorld.ts'

const ROUNDS = 20

/** A page of 60 under three filters, against all its prepared statements plus the JSON of its answer. */
export function filteredPage(): Promise<Row> {
  return inLargeWorld(async ({ ask, statementsOf, open }) => {
    const path = '/api/evidence?kind=picture&tag=Water,Birds&only=unused&limit=60'
    const prepared = prepareAll(open(), await statementsOf(path))
    return compare({
      ...{ name: 'filtered page of 60 among 10,000', limit: 4, unit: 'ms per answer' },
      ...(await answerAgainst(prepared, () => ask(path))),
    })
  })
}

/** All counts of the screen, against one aggregate over a covering index. */
export function filterCounts(): Promise<Row> {
  return inLargeWorld(async ({ ask, open, ownerId }) => {
    const aggregate = open().prepare(
      `SELECT kind, isUnused, lacksRights, lacksAlternative, looksAlike, count(*) FROM evidence
       WHERE ownerId = ? AND isBinned = 0 GROUP BY kind, isUnused, lacksRights, lacksAlternative, looksAlike`,
    )
    return compare({
      name: 'counts beside the filters, 10,000 items',
      limit: 3,
      unit: 'ms per answer',
      ours: () => timed(async () => void (await ask('/api/evidence/counts'))),
      reference: () => timed(async () => void aggregate.all(ownerId)),
    })
  })
}

export function fullTextRare(): Promise<Row> {
  return fullText('full text, a rare word', 'godwit')
}

export function fullTextCommon(): Promise<Row> {
  return fullText('full text, a common word', 'marsh')
}

/** A page found by a word among all of the school, against an index that holds the words of this owner alone. */
function fullText(name: string, word: string): Promise<Row> {
  return inLargeWorld(async ({ ask, statementsOf, open, ownerId }) => {
    const path = `/api/evidence?words=${word}&limit=60`
    const database = open()
    database.exec("CREATE VIRTUAL TABLE temp.ownWords USING fts5(words, content='', detail='none')")
    database
      .prepare(
        `INSERT INTO temp.ownWords(rowid, words) SELECT searchRow, title FROM evidence
         JOIN things ON things.id = evidence.id WHERE evidence.ownerId = ? AND searchRow > 0`,
      )
      .run(ownerId)
    const statements = (await statementsOf(path)).map(({ sql, bindings }) => ({
      // The same statement over the small index: without the stretch of rows that parts owners there.
      sql: sql.replace(
        /select `rowid` from `evidenceWords` where `rowid` between \(.*?\) and \(.*?\) and "evidenceWords" MATCH \?/,
        'select rowid from temp.ownWords where ownWords MATCH ?',
      ),
      bindings: sql.includes('evidenceWords') ? bindings.slice(2) : bindings,
    }))
    if (!statements.some(({ sql }) => sql.includes('ownWords')))
      throw new Error('the statement of the search is not as the reference knows it')
    const prepared = prepareAll(database, statements)
    return compare({
      ...{ name, limit: 3, unit: 'ms per answer' },
      ...(await answerAgainst(prepared, () => ask(path))),
    })
  })
}

interface Statement {
  readonly sql: string
  readonly bindings: readonly unknown[]
}

interface LargeSite {
  readonly ownerId: string
  ask(path: string): Promise<string>
  /** What the database is asked for one answer, in order. */
  statementsOf(path: string): Promise<Statement[]>
  open(): Database.Database
}

async function inLargeWorld(measure: (site: LargeSite) => Promise<Row>): Promise<Row> {
  const dataFolder = await largeWorldFolder()
  const config = readConfig({ VALISE_DATA: dataFolder, VALISE_LOG: 'silent' })
  const services = await openServices(config, false)
  const opened: Database.Database[] = []
  try {
    const app = createApp(services)
    const signedIn = await app.request('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(LARGE_SIGN_IN),
    })
    if (signedIn.status !== 201) throw new Error(`signing in answered ${signedIn.status}`)
    const { personId } = (await signedIn.json()) as { personId: string }
    const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
    const ask = async (path: string) => (await app.request(path, { headers: { cookie } })).text()
    return await measure({
      ownerId: personId,
      ask,
      statementsOf: async (path) => {
        const statements: Statement[] = []
        const onQuery = ({ sql, bindings }: Statement) => statements.push({ sql, bindings })
        const { sql } = services.database.reader()
        sql.on('query', onQuery)
        await ask(path)
        sql.removeListener('query', onQuery)
        return statements
      },
      open: () => {
        const database = new Database(databaseFile(config))
        opened.push(database)
        return database
      },
    })
  } finally {
    for (const database of opened) database.close()
    await closeServices(services)
  }
}

/** The time of an answer, and that of its prepared statements with the JSON of what it said. */
async function answerAgainst(prepared: readonly (() => void)[], ask: () => Promise<string>) {
  const answer: unknown = JSON.parse(await ask())
  return {
    ours: () => timed(async () => void (await ask())),
    reference: () =>
      timed(async () => {
        for (const run of prepared) run()
        JSON.stringify(answer)
      }),
  }
}

function prepareAll(database: Database.Database, statements: readonly Statement[]): (() => void)[] {
  return statements.map(({ sql, bindings }) => {
    const prepared = database.prepare(sql)
    return () => void prepared.all(...bindings)
  })
}

async function timed(run: () => Promise<void>): Promise<number> {
  const started = performance.now()
  for (let round = 0; round < ROUNDS; round += 1) await run()
  return (performance.now() - started) / ROUNDS
}
