// One table of all that a person owns: titles, the bin and revisions stand there, and passes, places, uses, feedback,
// news and submissions refer to it.
import type { Knex } from 'knex'
import {
  addColumns,
  addForeignKey,
  createTable,
  dropCheck,
  dropColumns,
  dropForeignKey,
  dropTables,
  reshapeTables,
  restoreCheck,
} from '../createTable.ts'
import type { Column, ForeignKey } from '../createTable.ts'
import { createIndexes, itemsAfter, itemsBefore, ofThing, quoted, reshapeItems } from './placesOfThings.ts'

export const name = '20261130100000_create_things'

/** The tables that it makes. */
export const tables: readonly string[] = ['things', 'uses']

// SQLite rebuilds a table with foreign keys off, which no transaction can do.
export const config = { transaction: false }

/** A table of one kind of thing: which of its columns move, and its indexes before and after. */
interface KindTable {
  readonly kind: string
  readonly table: string
  /** What the common columns are made of, where the table has no such column. */
  readonly made: Readonly<Record<string, string>>
  readonly before: Readonly<Record<string, readonly string[]>>
  readonly after: Readonly<Record<string, readonly string[]>>
}

const common = ['title', 'changedAt', 'binnedAt', 'revision']

const kindTables: readonly KindTable[] = [
  {
    ...{ kind: 'page', table: 'pages', made: { revision: '1' } },
    before: { pagesOfOwner: ['ownerId', 'binnedAt', 'changedAt', 'id'] },
    after: { pagesOfOwner: ['ownerId', 'isBinned', 'id'] },
  },
  {
    ...{ kind: 'collection', table: 'collections', made: {} },
    before: { collectionsOfOwner: ['ownerId', 'binnedAt', 'changedAt', 'id'] },
    after: { collectionsOfOwner: ['ownerId', 'isBinned', 'id'] },
  },
  {
    ...{ kind: 'logbook', table: 'logbooks', made: { changedAt: '"createdAt"', binnedAt: 'NULL' } },
    ...{ before: {}, after: {} },
  },
  {
    ...{ kind: 'entry', table: 'logEntries', made: {} },
    before: {
      entriesOfLogbook: ['logbookId', 'binnedAt', 'day', 'id'],
      entriesOfOwner: ['ownerId', 'binnedAt', 'day', 'id'],
    },
    after: {
      entriesOfLogbook: ['logbookId', 'isBinned', 'day', 'id'],
      entriesOfOwner: ['ownerId', 'isBinned', 'day', 'id'],
    },
  },
  {
    ...{ kind: 'evidence', table: 'evidence', made: { changedAt: '"createdAt"' } },
    before: evidenceIndexes('binnedAt'),
    after: evidenceIndexes('isBinned'),
  },
]

function evidenceIndexes(bin: string): KindTable['before'] {
  const marks = ['isUnused', 'lacksRights', 'lacksAlternative', 'looksAlike']
  return {
    evidenceOfOwner: ['ownerId', bin, 'madeAt', 'id'],
    evidenceByCount: ['ownerId', bin, 'kind', 'madeWeek', ...marks],
    evidenceByTitle: ['ownerId', bin, 'titleKey', 'id'],
    evidenceByArrival: ['ownerId', bin, 'createdAt', 'id'],
  }
}

/** Owner and bin stand in the table of a kind too, because its lists are sorted by what only it knows. */
const thingOfKind: ForeignKey = {
  ...{ columns: ['id', 'ownerId', 'isBinned'], table: 'things', to: ['id', 'ownerId', 'isBinned'] },
  ...{ onDelete: 'cascade', followsUpdates: true },
}
const byThingId: ForeignKey = { columns: ['thingId'], table: 'things', to: ['id'], onDelete: 'cascade' }
const thingOfDraft: ForeignKey = { ...byThingId, columns: ['id'] }
const ownerOfDraft: ForeignKey = { ...thingOfDraft, columns: ['ownerId'], table: 'people' }

export function up(knex: Knex): Promise<void> {
  return reshapeTables(knex, async (trx) => {
    await createThings(trx)
    for (const one of kindTables) await moveIntoThings(trx, one)
    await dropIndexes(trx, ['draftsOfOwner'])
    await dropColumns(trx, 'drafts', ['ownerId', 'changedAt'])
    await addForeignKey(trx, 'drafts', thingOfDraft)
    await createUses(trx)
    await dropIndexes(trx, ['passesOnPage', 'passesOnCollection'])
    await dropColumns(trx, 'passes', ['pageId', 'collectionId'])
    await addForeignKey(trx, 'passes', byThingId)
    await addForeignKey(trx, 'reach', byThingId)
    await reshapeItems(trx, itemsAfter)
    await dropIndexes(trx, ['chosenPages', 'chosenEntries', 'chosenEvidence'])
    await dropColumns(trx, 'chosenParts', ['pageId', 'entryId', 'evidenceId', 'kind'])
    await addForeignKey(trx, 'chosenParts', byThingId)
    await createIndexes(trx, 'chosenParts', { chosenThings: ['thingId', 'isIn'] })
    await openParts(trx)
    await trx.raw('UPDATE "feedback" SET "thingId" = NULL WHERE "thingId" NOT IN (SELECT "id" FROM "things")')
    await addForeignKey(trx, 'feedback', { ...byThingId, onDelete: 'set null' })
    await addColumns(trx, 'news', {
      thingId: { type: 'text', nullable: true, references: 'things.id', onDelete: 'cascade' },
    })
    await createIndexes(trx, 'news', { newsOfThing: ['thingId'] })
    await referFromNews(trx)
    await renameSweep(trx, 'sweep-drafts', 'sweep-bin')
  })
}

export function down(knex: Knex): Promise<void> {
  return reshapeTables(knex, async (trx) => {
    await renameSweep(trx, 'sweep-bin', 'sweep-drafts')
    await dropIndexes(trx, ['newsOfThing'])
    await dropColumns(trx, 'news', ['thingId'])
    await dropForeignKey(trx, 'feedback', { ...byThingId, onDelete: 'set null' })
    await closeParts(trx)
    await dropIndexes(trx, ['chosenThings'])
    await dropForeignKey(trx, 'chosenParts', byThingId)
    await restoreChosenParts(trx)
    await reshapeItems(trx, itemsBefore)
    await dropForeignKey(trx, 'reach', byThingId)
    await dropForeignKey(trx, 'passes', byThingId)
    await splitThingId(trx, 'passes', { pageId: 'page', collectionId: 'collection' })
    await createIndexes(trx, 'passes', { passesOnPage: ['pageId'], passesOnCollection: ['collectionId'] })
    await restoreDraftEvidence(trx)
    await restoreDrafts(trx)
    for (const one of kindTables) await moveOutOfThings(trx, one)
    await dropTables(trx, ['things'])
  })
}

async function createThings(trx: Knex): Promise<void> {
  await createTable(
    trx,
    'things',
    {
      id: { type: 'text' },
      kind: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      title: { type: 'text' },
      changedAt: { type: 'text' },
      binnedAt: { type: 'text', nullable: true },
      // Whether there is a moment in `binnedAt`: a foreign key does not follow what may be null.
      isBinned: { type: 'flag' },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      unique: [['id', 'ownerId', 'isBinned']],
      indexes: { thingsOfOwner: ['ownerId', 'kind', 'isBinned', 'changedAt', 'id'] },
    },
  )
  // Few things lie in the bin, and both the list of a bin and the sweep ask for nothing else.
  await trx.raw(
    `CREATE INDEX "thingsInBin" ON "things" (${quoted('ownerId', 'binnedAt', 'id')}) WHERE "binnedAt" IS NOT NULL`,
  )
  await trx.raw('CREATE INDEX "thingsByBinning" ON "things" ("binnedAt", "id") WHERE "binnedAt" IS NOT NULL')
}

async function moveIntoThings(trx: Knex, { kind, table, made, before, after }: KindTable): Promise<void> {
  const sources = common.map((column) => made[column] ?? `"${column}"`).join(', ')
  const binned = made['binnedAt'] ?? '"binnedAt"'
  await trx.raw(
    `INSERT INTO "things" ("id", "ownerId", "kind", ${quoted(...common)}, "isBinned")
     SELECT "id", "ownerId", '${kind}', ${sources}, CASE WHEN ${binned} IS NULL THEN 0 ELSE 1 END FROM "${table}"`,
  )
  await addColumns(trx, table, { isBinned: { type: 'flag', before: 0 } })
  if (made['binnedAt'] === undefined)
    await trx.raw(`UPDATE "${table}" SET "isBinned" = 1 WHERE "binnedAt" IS NOT NULL`)
  await dropIndexes(trx, Object.keys(before))
  await dropColumns(
    trx,
    table,
    common.filter((column) => made[column] === undefined),
  )
  await addForeignKey(trx, table, thingOfKind)
  await createIndexes(trx, table, after)
}

async function moveOutOfThings(trx: Knex, { table, made, before, after }: KindTable): Promise<void> {
  const moved = common.filter((column) => made[column] === undefined)
  const columns: Record<string, Column> = {
    title: { type: 'text', before: '' },
    changedAt: { type: 'text', before: '' },
    binnedAt: { type: 'text', nullable: true },
    revision: { type: 'integer', before: 1 },
  }
  await dropIndexes(trx, Object.keys(after))
  await dropForeignKey(trx, table, thingOfKind)
  await dropColumns(trx, table, ['isBinned'])
  await addColumns(
    trx,
    table,
    Object.fromEntries(Object.entries(columns).filter(([one]) => moved.includes(one))),
  )
  const sets = moved.map((column) => `"${column}" = ${ofThing(table, 'id', column)}`)
  await trx.raw(`UPDATE "${table}" SET ${sets.join(', ')}`)
  await createIndexes(trx, table, before)
}

async function createUses(trx: Knex): Promise<void> {
  const thing = { type: 'text', references: 'things.id', onDelete: 'cascade' } as const
  await createTable(
    trx,
    'uses',
    { byId: thing, thingId: thing },
    { primaryKey: ['byId', 'thingId'], indexes: { usesOfThing: ['thingId'] } },
  )
  await trx.raw(
    `INSERT INTO "uses" ("byId", "thingId") SELECT "draftId", "evidenceId" FROM "draftEvidence"
     UNION SELECT "collageId", "pictureId" FROM "collagePictures"
     JOIN "evidence" ON "evidence"."id" = "collageId" AND "currentVersion" = "n"`,
  )
  await dropTables(trx, ['draftEvidence'])
}

async function restoreDraftEvidence(trx: Knex): Promise<void> {
  await createTable(
    trx,
    'draftEvidence',
    {
      draftId: { type: 'text', references: 'drafts.id', onDelete: 'cascade' },
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
    },
    { primaryKey: ['draftId', 'evidenceId'], indexes: { draftsByEvidence: ['evidenceId'] } },
  )
  await trx.raw(
    `INSERT INTO "draftEvidence" SELECT "byId", "thingId" FROM "uses"
     WHERE "byId" IN (SELECT "id" FROM "drafts")`,
  )
  await dropTables(trx, ['uses'])
}

async function restoreDrafts(trx: Knex): Promise<void> {
  await dropForeignKey(trx, 'drafts', thingOfDraft)
  const past: Column = { type: 'text', before: '' }
  await addColumns(trx, 'drafts', { ownerId: past, changedAt: past })
  const sets = ['ownerId', 'changedAt'].map((column) => `"${column}" = ${ofThing('drafts', 'id', column)}`)
  await trx.raw(`UPDATE "drafts" SET ${sets.join(', ')}`)
  await addForeignKey(trx, 'drafts', ownerOfDraft)
  await createIndexes(trx, 'drafts', { draftsOfOwner: ['ownerId'] })
}

const partKinds = ['page', 'entry', 'evidence']

async function restoreChosenParts(trx: Knex): Promise<void> {
  await addColumns(trx, 'chosenParts', { kind: { type: 'text', before: 'page' } })
  await trx.raw(`UPDATE "chosenParts" SET "kind" = ${ofThing('chosenParts', 'thingId', 'kind')}`)
  await restoreCheck(trx, 'chosenParts', 'kind', partKinds)
  await splitThingId(trx, 'chosenParts', { pageId: 'page', entryId: 'entry', evidenceId: 'evidence' })
  const indexes = { chosenPages: ['pageId'], chosenEntries: ['entryId'], chosenEvidence: ['evidenceId'] }
  await createIndexes(trx, 'chosenParts', indexes)
}

/** The sealed record names a thing for ever; what refers to it goes with it. */
async function openParts(trx: Knex): Promise<void> {
  await dropCheck(trx, 'submissionParts', 'kind')
  await dropIndexes(trx, ['partsOfThing'])
  await trx.raw('ALTER TABLE "submissionParts" RENAME COLUMN "thingId" TO "sealedThingId"')
  await addColumns(trx, 'submissionParts', {
    thingId: { type: 'text', nullable: true, references: 'things.id', onDelete: 'set null' },
  })
  await trx.raw(
    `UPDATE "submissionParts" SET "thingId" = "sealedThingId"
     WHERE "sealedThingId" IN (SELECT "id" FROM "things")`,
  )
  await createIndexes(trx, 'submissionParts', { partsOfThing: ['thingId'] })
}

async function closeParts(trx: Knex): Promise<void> {
  await dropIndexes(trx, ['partsOfThing'])
  await dropColumns(trx, 'submissionParts', ['thingId'])
  await trx.raw('ALTER TABLE "submissionParts" RENAME COLUMN "sealedThingId" TO "thingId"')
  await createIndexes(trx, 'submissionParts', { partsOfThing: ['thingId'] })
  await restoreCheck(trx, 'submissionParts', 'kind', partKinds)
}

async function referFromNews(trx: Knex): Promise<void> {
  const rows: { id: string; params: string }[] = await trx('news')
    .where({ kind: 'shared-with-me' })
    .select('id', 'params')
  for (const { id, params } of rows) {
    const { thingId }: { thingId?: string } = JSON.parse(params)
    const found = await trx('things')
      .where({ id: thingId ?? '' })
      .first('id')
    if (found) await trx('news').where({ id }).update({ thingId: found.id })
  }
}

/** One sweep goes over the whole bin. */
async function renameSweep(trx: Knex, from: string, to: string): Promise<void> {
  await trx('jobs').where({ kind: from, dedupeKey: from }).update({ kind: to, dedupeKey: to })
}

/** Adds a column for each kind that refers to a table of its own; for `down`. */
async function splitThingId(
  trx: Knex,
  table: string,
  kindOf: Readonly<Record<string, string>>,
): Promise<void> {
  for (const [column, kind] of Object.entries(kindOf)) {
    const parent = kindTables.find((one) => one.kind === kind)?.table ?? ''
    await addColumns(trx, table, {
      [column]: { type: 'text', nullable: true, references: `${parent}.id`, onDelete: 'cascade' },
    })
    await trx.raw(
      `UPDATE "${table}" SET "${column}" = "thingId" WHERE "thingId" IN (SELECT "id" FROM "${parent}")`,
    )
  }
}

async function dropIndexes(trx: Knex, names: readonly string[]): Promise<void> {
  for (const index of names) await trx.raw(`DROP INDEX "${index}"`)
}
