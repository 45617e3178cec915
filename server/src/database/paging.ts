// Pages of lists: where the next one begins, as opaque text, and how many rows there are in all.
import { AppError } from '@valise/core/problems'
import type { Knex } from 'knex'

/** The sort values of the last row, ending with its id. */
export type CursorParts = readonly string[]

/** The requested page of a list. */
export interface PageWish {
  readonly cursor: string | undefined
  readonly limit: number
}

export function toCursor(parts: CursorParts): string {
  return Buffer.from(JSON.stringify(parts)).toString('base64url')
}

/** Parses a cursor. @throws AppError `invalid` when `toCursor` did not make it with this many values */
export function parseCursor(cursor: string, length: number): CursorParts {
  try {
    const parts: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString())
    if (Array.isArray(parts) && parts.length === length && parts.every((value) => typeof value === 'string'))
      return parts
  } catch (cause) {
    throw badCursor(cause)
  }
  throw badCursor()
}

/** Sorts a query newest first and limits it to one page, plus one row that tells whether there is a next page. */
export function newestFirst(
  query: Knex.QueryBuilder,
  [table, time]: readonly [table: string, time: string],
  { cursor, limit }: PageWish,
): Knex.QueryBuilder {
  const [timeColumn, idColumn] = [`${table}.${time}`, `${table}.id`]
  const page = query
    .orderBy([timeColumn, idColumn].map((column) => ({ column, order: 'desc' })))
    .limit(limit + 1)
  if (cursor === undefined) return page
  const [at = '', id = ''] = parseCursor(cursor, 2)
  return page.where((q) =>
    q.where(timeColumn, '<', at).orWhere((same) => same.where(timeColumn, at).where(idColumn, '<', id)),
  )
}

function badCursor(cause?: unknown): AppError {
  return new AppError('invalid', 'invalid-input', {
    fields: [{ path: '/cursor', reason: 'malformed' }],
    cause,
  })
}

/** Counts the rows of a query. */
export async function countRows(query: Knex.QueryBuilder): Promise<number> {
  const row = await query.count({ count: '*' }).first()
  return row.count
}
