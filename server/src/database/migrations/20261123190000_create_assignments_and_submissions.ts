// Assignments, what students choose to hand in, submissions with their sealed copies, and feedback on them.
import { receiptPrefixOf } from '@valise/core/submissions'
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123190000_create_assignments_and_submissions'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'counters',
  'assignments',
  'partChoices',
  'chosenParts',
  'submissions',
  'submissionParts',
  'sealedFiles',
  'feedback',
]

const states = [
  'sealing',
  'not-sealed',
  'with-assessor',
  'changes-asked',
  'accepted',
  'taken-back',
  'replaced',
]
const partKinds = ['page', 'entry', 'evidence']

export async function up(knex: Knex): Promise<void> {
  await knex.raw(`ALTER TABLE "evidence" ADD COLUMN "statement" TEXT NOT NULL DEFAULT ''`)
  await createTable(
    knex,
    'counters',
    { name: { type: 'text' }, prefix: { type: 'text' }, value: { type: 'integer' } },
    { primaryKey: ['name'] },
  )
  await createTable(
    knex,
    'assignments',
    {
      id: { type: 'text' },
      classId: { type: 'text', references: 'classes.id' },
      setBy: { type: 'text', nullable: true, references: 'people.id', onDelete: 'set null' },
      title: { type: 'text' },
      brief: { type: 'text', nullable: true },
      requirements: { type: 'text' },
      scale: { type: 'text' },
      terms: { type: 'text' },
      // The instant decides; the local time is the words it was given in, in the zone of the school.
      dueAt: { type: 'text', nullable: true },
      dueLocal: { type: 'text', nullable: true },
      allowsGaps: { type: 'flag' },
      setAt: { type: 'text' },
      endedAt: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], indexes: { assignmentsOfClass: ['classId', 'setAt', 'id'] } },
  )
  await createTable(
    knex,
    'partChoices',
    {
      id: { type: 'text' },
      assignmentId: { type: 'text', references: 'assignments.id', onDelete: 'cascade' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      changedAt: { type: 'text' },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], unique: [['ownerId', 'assignmentId']], indexes: { choicesFor: ['assignmentId'] } },
  )
  await createTable(
    knex,
    'chosenParts',
    {
      choiceId: { type: 'text', references: 'partChoices.id', onDelete: 'cascade' },
      position: { type: 'integer' },
      kind: { type: 'text', oneOf: partKinds },
      // What queries join on: the thing of the three columns below, of which one is filled.
      thingId: { type: 'text' },
      pageId: { type: 'text', nullable: true, references: 'pages.id', onDelete: 'cascade' },
      entryId: { type: 'text', nullable: true, references: 'logEntries.id', onDelete: 'cascade' },
      evidenceId: { type: 'text', nullable: true, references: 'evidence.id', onDelete: 'cascade' },
      isIn: { type: 'flag' },
      copy: { type: 'text', oneOf: ['published', 'draft'] },
    },
    {
      primaryKey: ['choiceId', 'thingId'],
      indexes: {
        chosenPages: ['pageId'],
        chosenEntries: ['entryId'],
        chosenEvidence: ['evidenceId'],
      },
    },
  )
  await createTable(
    knex,
    'submissions',
    {
      id: { type: 'text' },
      assignmentId: { type: 'text', references: 'assignments.id' },
      ownerId: { type: 'text', references: 'people.id' },
      n: { type: 'integer' },
      state: { type: 'text', oneOf: states },
      requestedAt: { type: 'text' },
      dueAt: { type: 'text', nullable: true },
      lateMinutes: { type: 'integer' },
      // As they were when it was handed in; what the assignment says later changes nothing here.
      requirements: { type: 'text' },
      readiness: { type: 'text' },
      terms: { type: 'text' },
      gaps: { type: 'integer' },
      parts: { type: 'integer' },
      number: { type: 'text', nullable: true },
      sealedAt: { type: 'text', nullable: true },
      manifestSha256: { type: 'text', nullable: true },
      receipt: { type: 'text', nullable: true },
      signature: { type: 'text', nullable: true },
      openedAt: { type: 'text', nullable: true },
      openedBy: { type: 'text', nullable: true, references: 'people.id', onDelete: 'set null' },
      decidedAt: { type: 'text', nullable: true },
      decidedBy: { type: 'text', nullable: true, references: 'people.id', onDelete: 'set null' },
      level: { type: 'text', nullable: true },
      outcomeNewsId: { type: 'text', nullable: true },
      outcomeFeedbackId: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      unique: [['ownerId', 'assignmentId', 'n'], ['number']],
      indexes: {
        submissionsOfOwner: ['ownerId', 'requestedAt', 'id'],
        submissionsOfAssignment: ['assignmentId', 'state', 'requestedAt', 'id'],
      },
    },
  )
  await createTable(
    knex,
    'submissionParts',
    {
      submissionId: { type: 'text', references: 'submissions.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      kind: { type: 'text', oneOf: partKinds },
      // Without a reference: a sealed copy stays when the thing goes.
      thingId: { type: 'text' },
      title: { type: 'text' },
      copy: { type: 'text', oneOf: ['published', 'draft', 'present'] },
      document: { type: 'text' },
      shown: { type: 'text' },
      statements: { type: 'text' },
    },
    { primaryKey: ['submissionId', 'n'], indexes: { partsOfThing: ['thingId'] } },
  )
  await createTable(
    knex,
    'sealedFiles',
    {
      submissionId: { type: 'text', references: 'submissions.id', onDelete: 'cascade' },
      path: { type: 'text' },
      fileSha256: { type: 'text', references: 'files.sha256' },
      bytes: { type: 'integer' },
      mime: { type: 'text' },
    },
    { primaryKey: ['submissionId', 'path'], indexes: { sealedBytes: ['fileSha256'] } },
  )
  await createTable(
    knex,
    'feedback',
    {
      id: { type: 'text' },
      submissionId: { type: 'text', references: 'submissions.id', onDelete: 'cascade' },
      part: { type: 'integer', nullable: true },
      // The page it stands on where it is open, so that whoever may look at the page finds it.
      thingId: { type: 'text', nullable: true },
      authorId: { type: 'text', nullable: true, references: 'people.id', onDelete: 'set null' },
      isOpen: { type: 'flag' },
      isRequest: { type: 'flag' },
      text: { type: 'text' },
      at: { type: 'text' },
    },
    {
      primaryKey: ['id'],
      indexes: { feedbackOn: ['submissionId', 'at', 'id'], feedbackOnThing: ['thingId', 'isOpen', 'at'] },
    },
  )
  await beginToCount(knex)
}

/** Schools that were set up before there were receipts. */
async function beginToCount(knex: Knex): Promise<void> {
  const schools: { name: string }[] = await knex('schools').select('name')
  for (const school of schools)
    await knex('counters').insert({ name: 'receipts', prefix: receiptPrefixOf(school.name), value: 0 })
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, [
    'feedback',
    'sealedFiles',
    'submissionParts',
    'submissions',
    'chosenParts',
    'partChoices',
    'assignments',
    'counters',
  ])
  await knex.raw('ALTER TABLE "evidence" DROP COLUMN "statement"')
}
