// Lists of ids in queries: one parameter, however many there are.
import type { Knex } from 'knex'

/** How each driver reads the values of an array of JSON. */
const conditions = {
  sqlite: '?? IN (SELECT value FROM json_each(?))',
  // An array, and no list of rows: the planner then looks each up in the index instead of joining.
  postgres: '?? = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb)))',
}

/**
 * Narrows a query to rows whose column holds one of these texts; for `modify`. Statements for two ids and for sixty are
 * the same, so that each is prepared once; no ids give no rows.
 */
export function isOneOf(query: Knex.QueryBuilder, column: string, ids: readonly string[]): void {
  const { driverName } = query.client as { readonly driverName: string }
  query.whereRaw(conditions[driverName === 'pg' ? 'postgres' : 'sqlite'], [column, JSON.stringify(ids)])
}
