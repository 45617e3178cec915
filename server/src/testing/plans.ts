// How a database finds what it is asked for: the statements that were run, and which of their plans read whole tables.
import type { Knex } from 'knex'
import type { Database } from '../database/index.ts'

export interface Statement {
  readonly sql: string
  readonly bindings: readonly unknown[]
}

/** A table that a plan reads from end to end, or a list that it makes first. */
export interface Fault {
  readonly table: string
  /** What the database says of it. */
  readonly said: string
}

/**
 * Keeps each statement that a database is asked from now on, once, with the values of its first run.
 *
 * @returns the statements, which go on growing
 */
export function recordStatements(database: Database): ReadonlyMap<string, Statement> {
  const statements = new Map<string, Statement>()
  const record = ({ sql, bindings = [] }: Statement) => {
    if (!/^\s*(select|insert|update|delete|with)\b/i.test(sql)) return
    if (!statements.has(sql)) statements.set(sql, { sql, bindings })
  }
  database.writer.on('query', record)
  database.reader().sql.on('query', record)
  return statements
}

/** Returns what is wrong with the plan of a statement. */
export function findFaults(database: Database, statement: Statement): Promise<Fault[]> {
  return faultsIn[database.dialect.name](database.writer, statement)
}

const faultsIn = { sqlite: faultsInSqlite, postgres: faultsInPostgres }

/**
 * See "EXPLAIN QUERY PLAN" in SQLite's documentation. It says `SCAN` and the alias for whatever it reads from end to end;
 * where that is a list within the statement, what the list is made of has a line of its own.
 */
async function faultsInSqlite(sql: Knex, { sql: text, bindings }: Statement): Promise<Fault[]> {
  const rows: { detail: string }[] = await sql.raw(`EXPLAIN QUERY PLAN ${text}`, [
    ...bindings,
  ] as Knex.Value[])
  // The index of words is a table of its own making, whose scans are searches.
  const tables = await sql('sqlite_schema')
    .where({ type: 'table' })
    .whereNot('sql', 'like', 'CREATE VIRTUAL%')
    .pluck<string[]>('name')
  return rows.flatMap(({ detail }) => {
    const [, alias = '', index = ''] =
      /^(?:SCAN|MATERIALIZE|SEARCH(?=.*\bAUTOMATIC\b)) (\S+)(?: USING (?:COVERING )?INDEX (\S+))?/.exec(
        detail,
      ) ?? []
    const table = tableOf(text, alias)
    const isList = /MATERIALIZE|AUTOMATIC/.test(detail)
    if (!isList && !tables.includes(table)) return []
    return alias === ''
      ? []
      : [{ table, said: index === '' ? (detail.split(' ')[0] ?? '') : `SCAN by ${index}` }]
  })
}

/** The table that stands under an alias. */
function tableOf(text: string, alias: string): string {
  const [, table] = new RegExp(`[\`"](\\w+)[\`"] as [\`"]${alias}[\`"]`).exec(text) ?? []
  return table ?? alias
}

/** See "EXPLAIN" in PostgreSQL's documentation. */
interface PostgresPlan {
  readonly 'Node Type': string
  readonly 'Relation Name'?: string
  readonly 'Index Name'?: string
  readonly 'Index Cond'?: string
  readonly Plans?: readonly PostgresPlan[]
}

/** Tables of a few rows are read whole whatever indexes they have; so it is told to do so only where there is no other way. */
async function faultsInPostgres(sql: Knex, { sql: text, bindings }: Statement): Promise<Fault[]> {
  return sql.transaction(async (trx) => {
    for (const way of ['seqscan', 'hashjoin', 'mergejoin']) await trx.raw(`SET LOCAL enable_${way} = off`)
    const explained = await trx.raw(`EXPLAIN (FORMAT JSON) ${text.replace(/\$\d+/g, '?')}`, [
      ...bindings,
    ] as Knex.Value[])
    return faultsOf(explained.rows[0]['QUERY PLAN'][0].Plan)
  })
}

function faultsOf(plan: PostgresPlan, above = ''): Fault[] {
  // A bitmap is made by a step below the one that names the table.
  const table = plan['Relation Name'] ?? above
  const index = plan['Index Name']
  const isWhole =
    plan['Node Type'] === 'Seq Scan' || (index !== undefined && plan['Index Cond'] === undefined)
  const within = (plan.Plans ?? []).flatMap((one) => faultsOf(one, table))
  return isWhole ? [{ table, said: index ? `SCAN by ${index}` : 'SCAN' }, ...within] : within
}
