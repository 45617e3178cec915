import { inTransaction } from '../database/index.ts'
import type { Trx } from '../database/index.ts'
import { createMembership, createPerson } from '../people/index.ts'
import { personNamed, systemActor } from '@valise/core/people'
import {
  describeEachDatabase,
  insertFeedback,
  insertSampleAssignment,
  insertSampleCollection,
  insertSampleEvidence,
  insertSampleRating,
  insertSampleSharing,
  insertSampleSubmission,
  insertToRead,
  makeSmallSchool,
  makeTestSite,
} from '../testing/index.ts'

const lists = [
  '/api/people?limit=200',
  '/api/classes',
  '/api/records?limit=200',
  '/api/news',
  '/api/sessions',
  '/api/evidence?limit=200',
  '/api/evidence/tags',
  '/api/evidence/count',
  '/api/evidence?kind=picture&words=e&limit=200',
  '/api/evidence/counts?kind=picture',
  '/api/evidence/ids',
  '/api/evidence/queries',
  '/api/sources',
  '/api/bin?limit=200',
  '/api/tray',
  '/api/uploads',
  '/api/pages?limit=200',
  '/api/pages/count',
  '/api/logbooks',
  '/api/logbooks/count',
  '/api/entries?limit=200',
  '/api/entries?mark=spoken&words=e&limit=200',
  '/api/sheets',
  '/api/attribute-sets',
  '/api/ratings/sets',
  '/api/collections?limit=200',
  '/api/collections/count',
  '/api/counts?of=evidence,pages,review-desk',
  '/api/sharing',
  '/api/sharing/audiences',
  '/api/sharing/look-as',
  '/api/shared-with-me?limit=200',
  '/api/shared-with-me/count',
  '/api/assignments?limit=200',
  '/api/assignments/count',
  '/api/submissions?limit=200',
  '/api/submissions/count',
  '/api/review-desk',
  '/api/review-desk/count',
  '/api/today',
  '/api/today/stages',
]

describeEachDatabase('lists', (open) => {
  it('cost the same number of queries for ten rows and for many', async () => {
    const site = makeTestSite(await open())
    const { database } = site.services
    // The code that asks is one; what it asks is asked of PostgreSQL as well, of fewer rows, which come in slowly there.
    const many = database.dialect.name === 'sqlite' ? 1000 : 100
    const school = await makeSmallSchool(site.services)
    const { mireille, wren } = school.people
    const { methods, crew } = school.classes
    const actor = systemActor('test')
    // One person with every kind of list: she administers, studies in one class and assesses the other.
    const fixed = await inTransaction(database, async (trx) => {
      const days = { firstDay: null, lastDay: null }
      await createMembership(trx, actor, mireille, { classId: crew, role: 'student', ...days })
      await createMembership(trx, actor, mireille, { classId: methods, role: 'assessor', ...days })
      const containerId = await insertSampleCollection(trx, mireille)
      const assignmentId = await insertSampleAssignment(trx, methods)
      const submissionId = await insertToRead(trx, assignmentId, wren, 1)
      return { containerId, assignmentId, submissionId }
    })
    const admin = site.browser()
    await admin.signIn('mireille')
    const paths = [
      ...lists,
      `/api/classes/${methods}`,
      `/api/assignments/${fixed.assignmentId}/queue?limit=200`,
      `/api/submissions/${fixed.submissionId}/feedback`,
    ]

    const countQueries = async (path: string) => {
      let count = 0
      const onQuery = () => (count += 1)
      const { sql } = database.reader()
      sql.on('query', onQuery)
      database.writer.on('query', onQuery)
      expect([path, (await admin.get(path)).status]).toEqual([path, 200])
      sql.removeListener('query', onQuery)
      database.writer.removeListener('query', onQuery)
      return count
    }
    const countAll = async () => {
      const counts: Record<string, number> = {}
      for (const path of paths) counts[path] = await countQueries(path)
      return counts
    }
    const addRow = async (trx: Trx, n: number) => {
      const { person } = await createPerson(trx, actor, personNamed(`Person ${n}`, { signInName: `p${n}` }))
      const membership = { classId: methods, role: 'student', firstDay: null, lastDay: null } as const
      await createMembership(trx, actor, person.id, membership)
      const evidenceId = await insertSampleEvidence(trx, mireille, n)
      const { containerId, assignmentId, submissionId } = fixed
      await insertSampleSharing(trx, { n, personId: mireille, otherId: wren, containerId })
      const classes = { studiesIn: crew, assesses: methods }
      await insertSampleSubmission(trx, { n, personId: mireille, otherId: wren, evidenceId, ...classes })
      await insertToRead(trx, assignmentId, person.id, 1)
      await insertFeedback(trx, { submissionId, authorId: mireille, n })
      await insertSampleRating(trx, { n, otherId: wren, thingId: evidenceId })
    }
    const grow = (from: number, until: number) =>
      inTransaction(database, async (trx) => {
        for (let n = from; n < until; n += 1) await addRow(trx, n)
      })

    await grow(0, 10)
    const few = await countAll()
    await grow(10, many)
    expect(await countAll()).toEqual(few)
    // What others opened is explained by the core, which needs their passes, places and rules; Today joins everything
    // that is open to be done.
    const {
      '/api/shared-with-me?limit=200': opened,
      '/api/today': today,
      '/api/today/stages': stages,
      ...others
    } = few
    expect(opened).toBeLessThanOrEqual(14)
    expect(today).toBeLessThanOrEqual(26)
    expect(stages).toBeLessThanOrEqual(12)
    expect(Math.max(...Object.values(others))).toBeLessThanOrEqual(8)
  }, 240_000)
})
