// Evidence with its versions, tags and renditions; the tray; files on their way in.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123101000_create_evidence'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'evidence',
  'evidenceVersions',
  'evidenceTags',
  'renditions',
  'trayItems',
  'uploads',
]

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'evidence',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      kind: { type: 'text' },
      title: { type: 'text' },
      rights: { type: 'text' },
      classId: { type: 'text', nullable: true, references: 'classes.id', onDelete: 'set null' },
      // When it was made as its file says, and where the file is silent when it came in.
      madeAt: { type: 'text' },
      madeAtKnown: { type: 'flag' },
      currentVersion: { type: 'integer' },
      binnedAt: { type: 'text', nullable: true },
      createdAt: { type: 'text' },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], indexes: { evidenceOfOwner: ['ownerId', 'binnedAt', 'madeAt', 'id'] } },
  )
  await createTable(
    knex,
    'evidenceVersions',
    {
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      fileSha256: { type: 'text', references: 'files.sha256' },
      fileName: { type: 'text' },
      mime: { type: 'text' },
      bytes: { type: 'integer' },
      width: { type: 'integer', nullable: true },
      height: { type: 'integer', nullable: true },
      latitude: { type: 'real', nullable: true },
      longitude: { type: 'real', nullable: true },
      preview: { type: 'text' },
      previewProblem: { type: 'text', nullable: true },
      createdAt: { type: 'text' },
    },
    {
      primaryKey: ['evidenceId', 'n'],
      indexes: {
        evidenceVersionsOfOwner: ['ownerId', 'fileSha256', 'bytes'],
        evidenceVersionsByFile: ['fileSha256'],
      },
    },
  )
  await createTable(
    knex,
    'evidenceTags',
    {
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      tagKey: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      tag: { type: 'text' },
      position: { type: 'integer' },
    },
    { primaryKey: ['evidenceId', 'tagKey'], indexes: { evidenceTagsOfOwner: ['ownerId', 'tagKey'] } },
  )
  await createTable(
    knex,
    'renditions',
    {
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      kind: { type: 'text' },
      // What was done to the picture before, and by which edition of the maker: together they name one rendition.
      recipeRevision: { type: 'integer' },
      concealRevision: { type: 'integer' },
      makerVersion: { type: 'integer' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      fileSha256: { type: 'text', references: 'files.sha256' },
      mime: { type: 'text' },
      bytes: { type: 'integer' },
      width: { type: 'integer' },
      height: { type: 'integer' },
      createdAt: { type: 'text' },
    },
    {
      primaryKey: ['evidenceId', 'n', 'kind', 'recipeRevision', 'concealRevision', 'makerVersion'],
      indexes: { renditionsOfOwner: ['ownerId'], renditionsByFile: ['fileSha256'] },
    },
  )
  await createTable(
    knex,
    'trayItems',
    {
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      pickedAt: { type: 'text' },
    },
    {
      primaryKey: ['personId', 'evidenceId'],
      indexes: { trayByTime: ['personId', 'pickedAt', 'evidenceId'], trayByEvidence: ['evidenceId'] },
    },
  )
  await createTable(
    knex,
    'uploads',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      fileName: { type: 'text' },
      bytes: { type: 'integer' },
      lastModified: { type: 'integer', nullable: true },
      replaces: { type: 'text', nullable: true, references: 'evidence.id', onDelete: 'cascade' },
      classId: { type: 'text', nullable: true, references: 'classes.id', onDelete: 'set null' },
      startedAt: { type: 'text' },
      // What it became, once all of it was there. No foreign key: the item may be removed while this is remembered.
      outcome: { type: 'text', nullable: true },
      evidenceId: { type: 'text', nullable: true },
    },
    { primaryKey: ['id'], indexes: { uploadsOfOwner: ['ownerId', 'outcome', 'startedAt'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, [
    'uploads',
    'trayItems',
    'renditions',
    'evidenceTags',
    'evidenceVersions',
    'evidence',
  ])
}
