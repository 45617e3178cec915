// Guides: copies with how far they have come, stages opened by hand, what is said of copies; and assignments and hand-ins
// that come from guides.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261201100000_create_guides'

/** The tables that it makes. */
export const tables: readonly string[] = ['guideOpenings', 'guideCopies', 'guideStages', 'guideFeedback']

const text = { type: 'text' } as const
const maybe = { type: 'text', nullable: true } as const

const assignmentColumns = {
  guideId: { ...maybe, references: 'things.id', onDelete: 'set null' },
  collectedAt: maybe,
} as const
const submissionColumns = { byItself: { type: 'flag', before: 0 } } as const
const indexes = {
  assignmentsOfGuide: '"assignments" ("guideId", "classId")',
  assignmentsToCollect: '"assignments" ("dueAt") WHERE "guideId" IS NOT NULL AND "collectedAt" IS NULL',
}

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'assignments', assignmentColumns)
  await addColumns(knex, 'submissions', submissionColumns)
  for (const [index, on] of Object.entries(indexes)) await knex.raw(`CREATE INDEX "${index}" ON ${on}`)
  await createTable(
    knex,
    'guideOpenings',
    {
      guideId: { ...text, references: 'things.id', onDelete: 'cascade' },
      classId: { ...text, references: 'classes.id', onDelete: 'cascade' },
      stageId: text,
      at: text,
    },
    { primaryKey: ['guideId', 'classId', 'stageId'] },
  )
  await createTable(
    knex,
    'guideCopies',
    {
      id: { ...text, references: 'things.id', onDelete: 'cascade' },
      ownerId: { ...text, references: 'people.id', onDelete: 'cascade' },
      // Without a reference: a copy outlives its guide.
      guideId: text,
      classId: { ...text, references: 'classes.id' },
      reading: { ...text, oneOf: ['followed', 'sealed'] },
      n: { type: 'integer' },
      logbookId: { ...maybe, references: 'things.id', onDelete: 'set null' },
      begunAt: text,
    },
    {
      primaryKey: ['id'],
      unique: [['ownerId', 'guideId']],
      indexes: {
        copiesOfGuide: ['guideId', 'classId', 'ownerId'],
        copiesOfLogbook: ['logbookId'],
      },
    },
  )
  await createTable(
    knex,
    'guideStages',
    {
      copyId: { ...text, references: 'guideCopies.id', onDelete: 'cascade' },
      stageId: text,
      progress: { ...text, oneOf: ['not-begun', 'in-progress', 'done'] },
      contentHash: text,
      changedAt: text,
    },
    { primaryKey: ['copyId', 'stageId'] },
  )
  await createTable(
    knex,
    'guideFeedback',
    {
      id: text,
      copyId: { ...text, references: 'guideCopies.id', onDelete: 'cascade' },
      stageId: maybe,
      pieceId: maybe,
      authorId: { ...maybe, references: 'people.id', onDelete: 'set null' },
      text,
      at: text,
    },
    { primaryKey: ['id'], indexes: { feedbackOnCopy: ['copyId', 'at', 'id'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, [...tables].reverse())
  for (const index of Object.keys(indexes)) await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'submissions', Object.keys(submissionColumns))
  await dropColumns(knex, 'assignments', Object.keys(assignmentColumns))
}
