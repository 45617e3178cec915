// Creating tables for both databases: STRICT on SQLite, plain DDL on PostgreSQL. Migrations use nothing else.
import type { Knex } from 'knex'
import { dialectOf } from './dialect.ts'
import type { ColumnType, Dialect } from './dialect.ts'

/** A column. JSON and instants are `text`, flags are `flag` (0 or 1). Not null unless `nullable`. */
export interface Column {
  readonly type: ColumnType | 'flag'
  readonly nullable?: true
  /** `table.column` that this refers to. */
  readonly references?: string
  /** What happens to this row when that one goes; refused where it is not said. */
  readonly onDelete?: 'cascade' | 'set null'
  /** The only values there may be. */
  readonly oneOf?: readonly string[]
  /** What rows have that were there before the column; without one it must be nullable. */
  readonly before?: string | number
}

export interface TableRules {
  readonly primaryKey: readonly string[]
  readonly unique?: readonly (readonly string[])[]
  /** References by several columns; by a single one, its column says so. */
  readonly foreignKeys?: readonly ForeignKey[]
  /** Indexes by name; the columns in order, each as plain SQL name. */
  readonly indexes?: Readonly<Record<string, readonly string[]>>
}

/** A reference by one or more columns. */
export interface ForeignKey {
  readonly columns: readonly string[]
  readonly table: string
  /** The columns there, in the same order. */
  readonly to: readonly string[]
  readonly onDelete: 'cascade' | 'set null'
  /** Whether a change of the columns there is carried over. */
  readonly followsUpdates?: true
}

export async function createTable(
  trx: Knex,
  name: string,
  columns: Readonly<Record<string, Column>>,
  rules: TableRules,
): Promise<void> {
  const dialect = dialectOf(trx)
  const lines = Object.entries(columns).map(([column, spec]) => columnSql(dialect, column, spec))
  lines.push(`PRIMARY KEY (${quoted(rules.primaryKey)})`)
  for (const unique of rules.unique ?? []) lines.push(`UNIQUE (${quoted(unique)})`)
  for (const key of rules.foreignKeys ?? []) lines.push(foreignKeySql(name, key))
  await trx.raw(`CREATE TABLE "${name}" (\n  ${lines.join(',\n  ')}\n)${dialect.tableSuffix}`)
  for (const [index, indexed] of Object.entries(rules.indexes ?? {})) {
    await trx.raw(`CREATE INDEX "${index}" ON "${name}" (${quoted(indexed)})`)
  }
}

/**
 * Rebuilds a SQLite table into a shape that native ALTER cannot produce, within `reshapeTables`; its rows and the rows
 * that refer to it stay. On PostgreSQL native ALTER does everything, and calling this is a mistake.
 */
export async function rebuildTable(
  trx: Knex,
  name: string,
  columns: Readonly<Record<string, Column>>,
  rules: TableRules,
  copied: Readonly<Record<string, string>>,
): Promise<void> {
  if (dialectOf(trx).name !== 'sqlite') throw new Error('rebuildTable is for SQLite; use ALTER TABLE')
  const indexes = Object.entries(rules.indexes ?? {})
  await replaceTable(trx, name, {
    create: (next) => createTable(trx, next, columns, { ...rules, indexes: {} }),
    copied,
    indexes: indexes.map(([index, indexed]) => `CREATE INDEX "${index}" ON "${name}" (${quoted(indexed)})`),
  })
}

/**
 * Drops the list of the only values that a column may have, because the list grows. Like all that redefines a table,
 * it must run within `reshapeTables`.
 */
export async function dropCheck(trx: Knex, table: string, column: string): Promise<void> {
  if (dialectOf(trx).name === 'sqlite')
    await redefineTable(trx, table, (sql) =>
      sql.replace(new RegExp(` CHECK \\("${column}" IN \\([^)]*\\)\\)`), ''),
    )
  else await trx.raw(`ALTER TABLE "${table}" DROP CONSTRAINT "${table}_${column}_check"`)
}

/** Restores what `dropCheck` dropped from a text column; for `down`. */
export async function restoreCheck(
  trx: Knex,
  table: string,
  column: string,
  oneOf: readonly string[],
): Promise<void> {
  const check = checkSql(column, oneOf)
  if (dialectOf(trx).name === 'sqlite')
    await redefineTable(trx, table, (sql) =>
      sql.replace(`"${column}" TEXT NOT NULL`, `"${column}" TEXT NOT NULL ${check}`),
    )
  else await trx.raw(`ALTER TABLE "${table}" ADD CONSTRAINT "${table}_${column}_check" ${check}`)
}

/** Adds a foreign key to a table that already has rows, within `reshapeTables`. */
export async function addForeignKey(trx: Knex, table: string, key: ForeignKey): Promise<void> {
  const constraint = foreignKeySql(table, key)
  if (dialectOf(trx).name === 'sqlite')
    await redefineTable(trx, table, (sql) => sql.replace(/\s*\) STRICT$/, `,\n  ${constraint}\n) STRICT`))
  else await trx.raw(`ALTER TABLE "${table}" ADD ${constraint}`)
}

/** Drops what `addForeignKey` added; for `down`. */
export async function dropForeignKey(trx: Knex, table: string, key: ForeignKey): Promise<void> {
  if (dialectOf(trx).name === 'sqlite')
    await redefineTable(trx, table, (sql) => sql.replace(`,\n  ${foreignKeySql(table, key)}`, ''))
  else await trx.raw(`ALTER TABLE "${table}" DROP CONSTRAINT "${foreignKeyName(table, key)}"`)
}

/**
 * Runs what redefines tables, as one transaction; rows and those that refer to them stay.
 *
 * SQLite's foreign keys are off meanwhile, because dropping an old table would run ON DELETE on its children; so the
 * calling migration must itself run outside a transaction (`config = { transaction: false }`).
 *
 * @throws Error when a row would refer to nothing afterwards; everything is then unchanged
 */
export async function reshapeTables(knex: Knex, work: (trx: Knex) => Promise<void>): Promise<void> {
  if (dialectOf(knex).name !== 'sqlite') return knex.transaction(work)
  await knex.raw('PRAGMA foreign_keys = OFF')
  try {
    await knex.transaction(async (trx) => {
      await work(trx)
      const broken = (await trx.raw('PRAGMA foreign_key_check')) as unknown[] // rows, as the driver gives them
      if (broken.length > 0) throw new Error(`${broken.length} rows would be left without what they refer to`)
    })
  } finally {
    await knex.raw('PRAGMA foreign_keys = ON')
  }
}

/** Rebuilds a SQLite table from its own definition, changed; its columns, rows and indexes stay. */
async function redefineTable(trx: Knex, name: string, change: (sql: string) => string): Promise<void> {
  const parts: { type: string; name: string; sql: string | null }[] = await trx('sqlite_schema')
    .where({ tbl_name: name })
    .orderBy('name')
  const before = parts.find(({ type }) => type === 'table')?.sql ?? ''
  const after = change(before)
  if (after === before) throw new Error(`the definition of ${name} has nothing to change`)
  const columns: { name: string }[] = await trx.raw(`PRAGMA table_info("${name}")`)
  await replaceTable(trx, name, {
    create: async (next) => {
      await trx.raw(after.replace(`CREATE TABLE "${name}"`, `CREATE TABLE "${next}"`))
    },
    copied: Object.fromEntries(columns.map((column) => [column.name, `"${column.name}"`])),
    indexes: parts.flatMap(({ type, sql }) => (type === 'index' && sql !== null ? [sql] : [])),
  })
}

interface Replacement {
  readonly create: (name: string) => Promise<void>
  /** The source of each column, in SQL over the old table. */
  readonly copied: Readonly<Record<string, string>>
  readonly indexes: readonly string[]
}

async function replaceTable(
  trx: Knex,
  name: string,
  { create, copied, indexes }: Replacement,
): Promise<void> {
  const next = `${name}_rebuilt`
  await create(next)
  const sources = Object.values(copied).join(', ')
  await trx.raw(`INSERT INTO "${next}" (${quoted(Object.keys(copied))}) SELECT ${sources} FROM "${name}"`)
  await trx.raw(`DROP TABLE "${name}"`)
  await trx.raw(`ALTER TABLE "${next}" RENAME TO "${name}"`)
  for (const sql of indexes) await trx.raw(sql)
}

/** Adds columns to a table that already has rows. */
export async function addColumns(
  trx: Knex,
  table: string,
  columns: Readonly<Record<string, Column>>,
): Promise<void> {
  const dialect = dialectOf(trx)
  for (const [name, spec] of Object.entries(columns)) {
    const before = typeof spec.before === 'string' ? `'${spec.before}'` : spec.before
    const usual = before === undefined ? '' : ` DEFAULT ${before}`
    await trx.raw(`ALTER TABLE "${table}" ADD COLUMN ${columnSql(dialect, name, spec)}${usual}`)
  }
}

/** Drops columns that nothing else refers to; for `down`. */
export async function dropColumns(trx: Knex, table: string, names: readonly string[]): Promise<void> {
  for (const name of names) await trx.raw(`ALTER TABLE "${table}" DROP COLUMN "${name}"`)
}

/** Drops tables in the order given; for `down`. */
export async function dropTables(trx: Knex, names: readonly string[]): Promise<void> {
  for (const name of names) await trx.raw(`DROP TABLE "${name}"`)
}

function columnSql(dialect: Dialect, name: string, spec: Column): string {
  const parts = [`"${name}"`, dialect.types[spec.type === 'flag' ? 'integer' : spec.type]]
  if (spec.nullable !== true) parts.push('NOT NULL')
  if (spec.type === 'flag') parts.push(`CHECK ("${name}" IN (0, 1))`)
  if (spec.oneOf) parts.push(checkSql(name, spec.oneOf))
  if (spec.references !== undefined) parts.push(referenceSql(spec.references, spec.onDelete))
  return parts.join(' ')
}

function checkSql(column: string, oneOf: readonly string[]): string {
  return `CHECK ("${column}" IN (${oneOf.map((value) => `'${value}'`).join(', ')}))`
}

function referenceSql(references: string, onDelete: Column['onDelete']): string {
  const [table, column] = references.split('.')
  const rule = onDelete === undefined ? '' : ` ON DELETE ${onDelete.toUpperCase()}`
  return `REFERENCES "${table}" ("${column}")${rule}`
}

function foreignKeySql(table: string, key: ForeignKey): string {
  const { columns, table: parent, to, onDelete, followsUpdates } = key
  const rules = `ON DELETE ${onDelete.toUpperCase()}${followsUpdates ? ' ON UPDATE CASCADE' : ''}`
  const name = foreignKeyName(table, key)
  return `CONSTRAINT "${name}" FOREIGN KEY (${quoted(columns)}) REFERENCES "${parent}" (${quoted(to)}) ${rules}`
}

function foreignKeyName(table: string, { columns, table: parent }: ForeignKey): string {
  return `${table}_${columns.join('_')}_of_${parent}`
}

function quoted(columns: readonly string[]): string {
  return columns.map((column) => `"${column}"`).join(', ')
}
