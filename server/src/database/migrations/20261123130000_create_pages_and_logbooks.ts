// Drafts with their log of edits, pages with what was published of them, logbooks with their entries.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123130000_create_pages_and_logbooks'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'drafts',
  'draftEdits',
  'otherVersions',
  'draftEvidence',
  'pages',
  'publishedPages',
  'logbooks',
  'logEntries',
]

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'drafts',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      revision: { type: 'integer' },
      // The document as it was at some revision; the edits after that lead to the present one.
      checkpoint: { type: 'text' },
      checkpointRevision: { type: 'integer' },
      createdAt: { type: 'text' },
      changedAt: { type: 'text' },
    },
    { primaryKey: ['id'], indexes: { draftsOfOwner: ['ownerId'] } },
  )
  await createTable(
    knex,
    'draftEdits',
    {
      draftId: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      revision: { type: 'integer' },
      editId: { type: 'text' },
      windowId: { type: 'text' },
      // Who wrote. Their leaving takes nothing out of somebody else's document.
      personId: { type: 'text', nullable: true, references: 'people.id', onDelete: 'set null' },
      operations: { type: 'text' },
      // What takes the edit back: earlier states are found by walking backwards from the present one.
      inverse: { type: 'text' },
      at: { type: 'text' },
    },
    {
      primaryKey: ['draftId', 'revision'],
      unique: [['draftId', 'editId']],
      indexes: { draftEditsOfPerson: ['personId'] },
    },
  )
  await createTable(
    knex,
    'otherVersions',
    {
      id: { type: 'text' },
      draftId: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      pieceId: { type: 'text' },
      windowId: { type: 'text' },
      piece: { type: 'text' },
      at: { type: 'text' },
    },
    { primaryKey: ['id'], unique: [['draftId', 'pieceId', 'windowId']] },
  )
  await createTable(
    knex,
    'draftEvidence',
    {
      draftId: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
    },
    { primaryKey: ['draftId', 'evidenceId'], indexes: { draftsByEvidence: ['evidenceId'] } },
  )
  await createTable(
    knex,
    'pages',
    {
      id: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      title: { type: 'text' },
      published: { type: 'integer', nullable: true },
      publishedAt: { type: 'text', nullable: true },
      publishedRevision: { type: 'integer', nullable: true },
      changedAt: { type: 'text' },
      binnedAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['id'], indexes: { pagesOfOwner: ['ownerId', 'binnedAt', 'changedAt', 'id'] } },
  )
  await createTable(
    knex,
    'publishedPages',
    {
      pageId: { type: 'text', references: 'pages.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      title: { type: 'text' },
      document: { type: 'text' },
      shown: { type: 'text' },
      html: { type: 'text' },
      draftRevision: { type: 'integer' },
      at: { type: 'text' },
    },
    { primaryKey: ['pageId', 'n'] },
  )
  await createTable(
    knex,
    'logbooks',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      title: { type: 'text' },
      createdAt: { type: 'text' },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], indexes: { logbooksOfOwner: ['ownerId', 'createdAt', 'id'] } },
  )
  await createTable(
    knex,
    'logEntries',
    {
      id: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      logbookId: { type: 'text', references: 'logbooks.id', onDelete: 'cascade' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      day: { type: 'text' },
      title: { type: 'text' },
      beginning: { type: 'text' },
      words: { type: 'integer' },
      evidenceCount: { type: 'integer' },
      changedAt: { type: 'text' },
      binnedAt: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      indexes: {
        entriesOfLogbook: ['logbookId', 'binnedAt', 'day', 'id'],
        entriesOfOwner: ['ownerId', 'binnedAt', 'day', 'id'],
      },
    },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, [
    'logEntries',
    'logbooks',
    'publishedPages',
    'pages',
    'draftEvidence',
    'otherVersions',
    'draftEdits',
    'drafts',
  ])
}
