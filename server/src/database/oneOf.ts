// Lists of values in queries: one parameter, however many there are.
import type { Knex } from 'knex'
import { dialectOf } from './dialect.ts'

/**
 * Narrows a query to rows whose column holds one of these texts; for `modify`. Statements for two ids and for sixty are
 * the same, so that each is prepared once; no ids give no rows.
 */
export function isOneOf(query: Knex.QueryBuilder, column: string, ids: readonly string[]): void {
  query.whereRaw(dialectOf(query).isOneOf.texts, [column, JSON.stringify(ids)])
}

/** The same for a column of whole numbers. */
export function isOneOfNumbers(query: Knex.QueryBuilder, column: string, numbers: readonly number[]): void {
  query.whereRaw(dialectOf(query).isOneOf.numbers, [column, JSON.stringify(numbers)])
}
