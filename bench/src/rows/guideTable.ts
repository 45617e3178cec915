// The table by which an assessor follows a guide: 30 students by 12 stages, against one student.
import type Database from 'better-sqlite3'
import { compare, timed } from '../compare.ts'
import type { Row as Measured } from '../compare.ts'
import { guideOf, takeOver } from '../guideWorld.ts'
import { openSampleCopy } from '../sampleWorld.ts'

const ROUNDS = 20
const STAGES = 12
const MOST_QUERIES = 4

export async function guideTable(): Promise<Measured> {
  const [large, small] = [await openTable(30), await openTable(1)]
  try {
    const [whole, one] = await Promise.all(
      [large, small].map(async ({ copy, path }) => {
        const ask = await copy.askAs('odalys')
        const look = async () => void (await (await ask(path)).arrayBuffer())
        const known = await copy.countQueries(async () => void (await ask('/api/session')))
        // What finds out who asks is asked for every route alike.
        return { look, queries: (await copy.countQueries(look)) - known }
      }),
    )
    if (!whole || !one) throw new Error('there is nothing to compare')
    if (whole.queries > MOST_QUERIES || whole.queries !== one.queries)
      throw new Error(`the table asks ${whole.queries} questions for 30 students and ${one.queries} for one`)
    return await compare({
      name: 'the table of a guide, 30 students by 12 stages',
      limit: 2,
      unit: 'ms for one student',
      ours: () => timed(ROUNDS, whole.look),
      reference: () => timed(ROUNDS, one.look),
    })
  } finally {
    await large.copy.close()
    await small.copy.close()
  }
}

async function openTable(students: number) {
  let path = ''
  const copy = await openSampleCopy((database: Database.Database) => {
    const guide = guideOf(database)
    takeOver(database, guide, { students, stages: STAGES })
    path = `/api/guides/${guide.guideId}/classes/${guide.classId}`
  })
  return { copy, path }
}
