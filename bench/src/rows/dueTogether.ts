// Many copies of a guide that are due in the same minute: what each costs, and what the others notice meanwhile.
import { databaseFile, planCollecting } from '@valise/server'
import Database from 'better-sqlite3'
import { quantile, toRow } from '../compare.ts'
import type { Row as Measured } from '../compare.ts'
import { guideOf, takeOver } from '../guideWorld.ts'
import type { GuideOfClass } from '../guideWorld.ts'
import { openSampleCopy } from '../sampleWorld.ts'
import type { SampleCopy } from '../sampleWorld.ts'

const MANY = 300
const ROUNDS = 7
/** Single hand-ins are measured so often that one that was slow does not decide. */
const SINGLES = 30
const LOOKS = ['/api/today', '/api/evidence?limit=50', '/api/pages?limit=50', '/api/news']
const BETWEEN_LOOKS_MS = 10

/** 300 hand-ins by themselves against 300 times one. */
export async function dueTogether(): Promise<Measured> {
  const [large, small] = [await openClass(MANY), await openClass(1)]
  const [ratios, references]: [number[], number[]] = [[], []]
  try {
    await handInAll(small)
    for (let round = 0; round < ROUNDS; round += 1) {
      const whole = await handInAll(large)
      let singles = 0
      for (let n = 0; n < SINGLES; n += 1) singles += await handInAll(small)
      const one = singles / SINGLES
      ratios.push(whole / MANY / one)
      references.push(one)
    }
    return toRow({
      name: `${MANY} copies due together, against one`,
      ...{ limit: 1.3, unit: 'ms for one', ratios, references },
    })
  } finally {
    await large.copy.close()
    await small.copy.close()
  }
}

/** How long others wait while 300 copies are handed in: the slowest of twenty looks. */
export async function othersWhileDue(): Promise<Measured> {
  const large = await openClass(MANY)
  const { jobs } = large.copy.services
  const ask = await large.copy.askAs('wren')
  const [ratios, references]: [number[], number[]] = [[], []]
  try {
    for (let round = 0; round < ROUNDS; round += 1) {
      setDue(large)
      const idle = await slowestOf(ask, (looked) => looked >= 200)
      await planCollecting(large.copy.services)
      jobs.start()
      const busy = await slowestOf(ask, () => handedIn(large) === MANY)
      await jobs.stop()
      ratios.push(busy / idle)
      references.push(idle)
    }
    return toRow({
      name: `p95 of others while ${MANY} copies are due`,
      ...{ limit: 3, unit: 'ms when idle', ratios, references },
    })
  } finally {
    await large.copy.close()
  }
}

interface ClassAtWork {
  readonly copy: SampleCopy
  readonly guide: GuideOfClass
}

async function openClass(students: number): Promise<ClassAtWork> {
  let guide: GuideOfClass | null = null
  const copy = await openSampleCopy((database) => {
    guide = guideOf(database)
    takeOver(database, guide, { students })
  })
  if (!guide) throw new Error('there is no guide')
  return { copy, guide }
}

/** Milliseconds until all copies are handed in and sealed. */
async function handInAll({ copy, guide }: ClassAtWork): Promise<number> {
  const students = setDue({ copy, guide })
  const started = performance.now()
  await planCollecting(copy.services)
  await copy.services.jobs.drain()
  const taken = performance.now() - started
  const sealed = handedIn({ copy, guide })
  if (sealed !== students) throw new Error(`${sealed} of ${students} copies were handed in`)
  return taken
}

/** Makes the guide due now, with nothing handed in; returns how many work in it. */
function setDue({ copy, guide: { assignmentId, classId } }: ClassAtWork): number {
  return inFile(copy, (database) => {
    database.prepare('DELETE FROM jobs').run()
    database.prepare('DELETE FROM submissions WHERE assignmentId = ?').run(assignmentId)
    const dueAt = new Date(Date.now() - 1000).toISOString()
    database
      .prepare('UPDATE assignments SET collectedAt = NULL, dueAt = ? WHERE id = ?')
      .run(dueAt, assignmentId)
    return count(
      database,
      "SELECT count(*) AS n FROM memberships WHERE role = 'student' AND classId = ?",
      classId,
    )
  })
}

function handedIn({ copy, guide: { assignmentId } }: ClassAtWork): number {
  return inFile(copy, (database) =>
    count(
      database,
      "SELECT count(*) AS n FROM submissions WHERE state = 'with-assessor' AND assignmentId = ?",
      assignmentId,
    ),
  )
}

function count(database: Database.Database, sql: string, value: string): number {
  const { n } = database.prepare(sql).get(value) as { readonly n: number }
  return n
}

function inFile<T>({ services }: SampleCopy, use: (database: Database.Database) => T): T {
  const database = new Database(databaseFile(services.config))
  try {
    return database.transaction(() => use(database))()
  } finally {
    database.close()
  }
}

/** The 95th percentile of how long looks take, one after the other, until it is enough. */
async function slowestOf(
  ask: Awaited<ReturnType<SampleCopy['askAs']>>,
  isEnough: (looked: number) => boolean,
): Promise<number> {
  const taken: number[] = []
  while (!isEnough(taken.length)) {
    const started = performance.now()
    await (await ask(LOOKS[taken.length % LOOKS.length] ?? '')).arrayBuffer()
    taken.push(performance.now() - started)
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_LOOKS_MS))
  }
  return quantile(taken, 0.95)
}
