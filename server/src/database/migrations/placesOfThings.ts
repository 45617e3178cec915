// Places in collections, as they stood before there were things and since; for the migration that makes these.
import type { Knex } from 'knex'
import { addColumns, dropColumns, rebuildTable } from '../createTable.ts'
import type { Column, TableRules } from '../createTable.ts'

export interface ItemShape {
  readonly columns: Readonly<Record<string, Column>>
  readonly rules: TableRules
  /** What the columns are made of that the other shape lacks. */
  readonly made: Readonly<Record<string, string>>
}

const ofItems = {
  id: { type: 'text' },
  collectionId: { type: 'text', references: 'collections.id', onDelete: 'cascade' },
  position: { type: 'integer' },
  title: { type: 'text', nullable: true },
  isHidden: { type: 'flag' },
} as const satisfies Record<string, Column>
const itemsOfCollection = ['collectionId', 'position']

/** A place is that of a thing; one without is a divider. */
export const itemsAfter: ItemShape = {
  columns: {
    ...ofItems,
    thingId: { type: 'text', nullable: true, references: 'things.id', onDelete: 'cascade' },
  },
  rules: {
    primaryKey: ['id'],
    unique: [['collectionId', 'thingId']],
    indexes: { itemsOfCollection, itemsOfThing: ['thingId'] },
  },
  made: { thingId: 'COALESCE("pageId", "childId")' },
}

const itemKind = (kind: string) =>
  `(SELECT "id" FROM "things" WHERE "things"."id" = "thingId" AND "things"."kind" = '${kind}')`

export const itemsBefore: ItemShape = {
  columns: {
    ...ofItems,
    kind: { type: 'text', oneOf: ['page', 'divider', 'collection'] },
    pageId: { type: 'text', nullable: true, references: 'pages.id', onDelete: 'cascade' },
    childId: { type: 'text', nullable: true, references: 'collections.id', onDelete: 'cascade' },
  },
  rules: {
    primaryKey: ['id'],
    unique: [
      ['collectionId', 'pageId'],
      ['collectionId', 'childId'],
    ],
    indexes: { itemsOfCollection, itemsOfPage: ['pageId'], itemsOfChild: ['childId'] },
  },
  made: {
    kind: `COALESCE(${ofThing('collectionItems', 'thingId', 'kind')}, 'divider')`,
    pageId: itemKind('page'),
    childId: itemKind('collection'),
  },
}

export async function reshapeItems(trx: Knex, { columns, rules, made }: ItemShape): Promise<void> {
  const [table, isSqlite] = ['collectionItems', trx.client.config.client !== 'pg']
  const copied = Object.fromEntries(
    Object.keys(columns).map((column) => [column, made[column] ?? `"${column}"`]),
  )
  if (isSqlite) return rebuildTable(trx, table, columns, rules, copied)
  // PostgreSQL cannot drop a table that others refer to, and needs not.
  const kept = new Set(Object.keys(columns))
  const old = Object.keys(await trx(table).columnInfo()).filter((column) => !kept.has(column))
  const added = Object.entries(columns).filter(([column]) => made[column] !== undefined)
  const early = added.map(([column, spec]) => [
    column,
    { ...spec, ...(!spec.nullable && { before: 'divider' }) },
  ])
  await addColumns(trx, table, Object.fromEntries(early))
  const sets = added.map(([column]) => `"${column}" = ${made[column]}`)
  await trx.raw(`UPDATE "${table}" SET ${sets.join(', ')}`)
  await dropColumns(trx, table, old)
  for (const unique of rules.unique ?? [])
    await trx.raw(`ALTER TABLE "${table}" ADD UNIQUE (${quoted(...unique)})`)
  const { itemsOfCollection: _, ...indexes } = rules.indexes ?? {}
  await createIndexes(trx, table, indexes)
}

/** A column of the thing that a row refers to, in SQL. */
export function ofThing(table: string, key: string, column: string): string {
  return `(SELECT "things"."${column}" FROM "things" WHERE "things"."id" = "${table}"."${key}")`
}

export async function createIndexes(
  trx: Knex,
  table: string,
  indexes: Readonly<Record<string, readonly string[]>>,
): Promise<void> {
  for (const [index, columns] of Object.entries(indexes))
    await trx.raw(`CREATE INDEX "${index}" ON "${table}" (${quoted(...columns)})`)
}

export function quoted(...names: readonly string[]): string {
  return names.map((one) => `"${one}"`).join(', ')
}
