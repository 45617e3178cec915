// The table of a kind of things: what only that kind knows, beside the row in `things`.
import type { Knex } from 'knex'
import { createTable } from './createTable.ts'
import type { Column, TableRules } from './createTable.ts'

/**
 * Creates a table whose rows are things. Owner and bin stand in it too, so that its indexes can begin with them; they
 * follow the row in `things`, and go with it.
 *
 * @param columns what only this kind knows
 */
export function createThingTable(
  trx: Knex,
  name: string,
  columns: Readonly<Record<string, Column>>,
  rules: Omit<TableRules, 'primaryKey' | 'foreignKeys'> = {},
): Promise<void> {
  const shared = ['id', 'ownerId', 'isBinned']
  const id = { type: 'text' } as const
  return createTable(
    trx,
    name,
    { id, ownerId: id, isBinned: { type: 'flag' }, ...columns },
    {
      ...rules,
      primaryKey: ['id'],
      foreignKeys: [
        { columns: shared, table: 'things', to: shared, onDelete: 'cascade', followsUpdates: true },
      ],
    },
  )
}
