// What is known of evidence beside its file: words to find it by, links, documents of the drive, look-alikes; queries
// under a name; the phone that lends its camera; reports on pictures of the shelf.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261127100000_extend_evidence'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'evidenceTexts',
  'nearDuplicates',
  'links',
  'driveDocuments',
  'savedQueries',
  'phoneLinks',
  'phoneArrivals',
  'shelfReports',
  'searchOwners',
  'evidenceWords',
]

const evidenceColumns = {
  alternativeText: { type: 'text', before: '' },
  transcript: { type: 'text', before: '' },
  assignmentId: { type: 'text', nullable: true, references: 'assignments.id', onDelete: 'set null' },
  // What lists sort and count by, kept beside the things that they follow from.
  titleKey: { type: 'text', before: '' },
  madeWeek: { type: 'text', before: '' },
  isUnused: { type: 'flag', before: 1 },
  lacksRights: { type: 'flag', before: 1 },
  lacksAlternative: { type: 'flag', before: 0 },
  looksAlike: { type: 'flag', before: 0 },
  // Its row in the index of words; 0 before it has one.
  searchRow: { type: 'integer', before: 0 },
} as const

const versionColumns = {
  // The words of a note, as its editor keeps them.
  document: { type: 'text', nullable: true },
  durationMs: { type: 'integer', nullable: true },
  pages: { type: 'integer', nullable: true },
  encoding: { type: 'text', nullable: true },
  // What a picture looks like, for finding others that look like it.
  hash: { type: 'text', nullable: true },
  textState: { type: 'text', before: 'unread' },
} as const

const uploadColumns = {
  assignmentId: { type: 'text', nullable: true, references: 'assignments.id', onDelete: 'set null' },
  title: { type: 'text', nullable: true },
  isMine: { type: 'flag', before: 0 },
  durationMs: { type: 'integer', nullable: true },
} as const

const indexes = {
  evidenceByCount: [
    ...['ownerId', 'binnedAt', 'kind', 'madeWeek'],
    ...['isUnused', 'lacksRights', 'lacksAlternative', 'looksAlike'],
  ],
  evidenceByTitle: ['ownerId', 'binnedAt', 'titleKey', 'id'],
  evidenceByArrival: ['ownerId', 'binnedAt', 'createdAt', 'id'],
  evidenceBySearchRow: ['searchRow'],
  evidenceOfAssignment: ['assignmentId'],
}

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'evidence', evidenceColumns)
  await addColumns(knex, 'evidenceVersions', versionColumns)
  await addColumns(knex, 'uploads', uploadColumns)
  await fillNewColumns(knex)
  for (const [index, columns] of Object.entries(indexes))
    await knex.raw(
      `CREATE INDEX "${index}" ON "evidence" (${columns.map((column) => `"${column}"`).join(', ')})`,
    )
  const ownerId = { type: 'text', references: 'people.id', onDelete: 'cascade' } as const
  const evidenceId = { type: 'text', references: 'evidence.id', onDelete: 'cascade' } as const
  await createTable(
    knex,
    'evidenceTexts',
    { evidenceId, n: { type: 'integer' }, ownerId, blocks: { type: 'text' }, isCut: { type: 'flag' } },
    { primaryKey: ['evidenceId', 'n'], indexes: { textsOfOwner: ['ownerId'] } },
  )
  await createTable(
    knex,
    'nearDuplicates',
    { evidenceId, otherId: evidenceId, ownerId, distance: { type: 'integer' } },
    {
      primaryKey: ['evidenceId', 'otherId'],
      indexes: { duplicatesOfOther: ['otherId'], duplicatesOfOwner: ['ownerId'] },
    },
  )
  await createTable(
    knex,
    'links',
    {
      evidenceId,
      ownerId,
      address: { type: 'text' },
      siteName: { type: 'text' },
      description: { type: 'text' },
      frame: { type: 'text', nullable: true },
      state: { type: 'text', oneOf: ['there', 'slow', 'dead', 'blocked'] },
      checkedAt: { type: 'text' },
    },
    { primaryKey: ['evidenceId'], indexes: { linksOfOwner: ['ownerId', 'address'] } },
  )
  await createTable(
    knex,
    'driveDocuments',
    {
      evidenceId,
      ownerId,
      documentId: { type: 'text' },
      isConnected: { type: 'flag' },
      revision: { type: 'text' },
      changedAt: { type: 'text', nullable: true },
      checkedAt: { type: 'text' },
      lostAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['evidenceId'], indexes: { driveDocumentsOfOwner: ['ownerId', 'documentId'] } },
  )
  await createTable(
    knex,
    'savedQueries',
    {
      id: { type: 'text' },
      ownerId,
      name: { type: 'text' },
      nameKey: { type: 'text' },
      query: { type: 'text' },
      createdAt: { type: 'text' },
    },
    { primaryKey: ['id'], unique: [['ownerId', 'nameKey']] },
  )
  await createTable(
    knex,
    'phoneLinks',
    {
      id: { type: 'text' },
      ownerId,
      sessionId: { type: 'text' },
      classId: { type: 'text', nullable: true, references: 'classes.id', onDelete: 'set null' },
      assignmentId: { type: 'text', nullable: true, references: 'assignments.id', onDelete: 'set null' },
      codeHash: { type: 'text' },
      // What the phone holds once it has used the code.
      keyHash: { type: 'text', nullable: true },
      endsAt: { type: 'text' },
      endedAt: { type: 'text', nullable: true },
      createdAt: { type: 'text' },
    },
    {
      primaryKey: ['id'],
      unique: [['codeHash']],
      indexes: {
        phoneLinksOfOwner: ['ownerId', 'createdAt'],
        phoneLinksByKey: ['keyHash'],
        phoneLinksOfClass: ['classId'],
        phoneLinksOfAssignment: ['assignmentId'],
      },
    },
  )
  await createTable(
    knex,
    'phoneArrivals',
    { linkId: { type: 'text', references: 'phoneLinks.id', onDelete: 'cascade' }, evidenceId },
    { primaryKey: ['linkId', 'evidenceId'], indexes: { arrivalsOfEvidence: ['evidenceId'] } },
  )
  await createTable(
    knex,
    'shelfReports',
    {
      id: { type: 'text' },
      personId: ownerId,
      pictureId: { type: 'text' },
      title: { type: 'text' },
      words: { type: 'text' },
      at: { type: 'text' },
    },
    { primaryKey: ['id'], indexes: { shelfReportsOfPerson: ['personId', 'pictureId'] } },
  )
  await addColumns(knex, 'yearGroups', {
    pictureShelf: { type: 'text', oneOf: ['all', 'young'], before: 'all' },
  })
  await knex.raw(
    `UPDATE "yearGroups" SET "pictureShelf" = 'young' WHERE "position" = (SELECT min("position") FROM "yearGroups")`,
  )
  await createWordIndex(knex)
}

/** The words of what somebody keeps. Rows of one owner stand side by side, so that others' cost nothing. */
async function createWordIndex(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'searchOwners',
    {
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      next: { type: 'integer' },
    },
    { primaryKey: ['ownerId'], unique: [['n']] },
  )
  if (knex.client.config.client === 'pg') {
    await knex.raw(
      `CREATE TABLE "evidenceWords" ("rowid" BIGINT PRIMARY KEY, "words" TEXT NOT NULL,
        "found" tsvector GENERATED ALWAYS AS (to_tsvector('simple', "words")) STORED)`,
    )
    await knex.raw('CREATE INDEX "evidenceWordsFound" ON "evidenceWords" USING gin ("found")')
  } else {
    await knex.raw(
      `CREATE VIRTUAL TABLE "evidenceWords" USING fts5 ("words", content='', contentless_delete=1, detail='none',
        tokenize="unicode61 remove_diacritics 2", prefix='2 3')`,
    )
  }
}

/** What stands in new columns follows from old ones. Weeks begin by UTC here, which is a day off at most. */
async function fillNewColumns(knex: Knex): Promise<void> {
  const items: { id: string; kind: string; title: string; rights: string; madeAt: string }[] = await knex(
    'evidence',
  ).select('id', 'kind', 'title', 'rights', 'madeAt')
  const used = new Set<string>()
  for (const table of ['draftEvidence', 'chosenParts']) {
    const rows: { evidenceId: string | null }[] = await knex(table).distinct('evidenceId')
    for (const { evidenceId } of rows) if (evidenceId !== null) used.add(evidenceId)
  }
  for (const { id, kind, title, rights, madeAt } of items) {
    const day = new Date(`${madeAt.slice(0, 10)}T00:00:00Z`)
    if (!Number.isNaN(day.getTime())) day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7))
    await knex('evidence')
      .where({ id })
      .update({
        titleKey: title
          .normalize('NFD')
          .replace(/\p{Mark}/gu, '')
          .toLowerCase(),
        madeWeek: Number.isNaN(day.getTime()) ? '' : day.toISOString().slice(0, 10),
        isUnused: used.has(id) ? 0 : 1,
        lacksRights: JSON.parse(rights).state === 'missing' ? 1 : 0,
        lacksAlternative: kind === 'picture' ? 1 : 0,
      })
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('DROP TABLE "evidenceWords"')
  await dropColumns(knex, 'yearGroups', ['pictureShelf'])
  await dropTables(knex, [
    'searchOwners',
    'shelfReports',
    'phoneArrivals',
    'phoneLinks',
    'savedQueries',
    'driveDocuments',
    'links',
    'nearDuplicates',
    'evidenceTexts',
  ])
  for (const index of Object.keys(indexes)) await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'uploads', Object.keys(uploadColumns))
  await dropColumns(knex, 'evidenceVersions', Object.keys(versionColumns))
  await dropColumns(knex, 'evidence', Object.keys(evidenceColumns))
}
