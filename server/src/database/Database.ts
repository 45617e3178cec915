// The door to the database: readers, transactions, and what runs after a commit.
import knexModule from 'knex'
import type { Knex } from 'knex'
import { AppError } from '@valise/core/problems'
import type { Instant } from '@valise/core/time'
import { toMilliseconds } from '@valise/core/time'
import type { Clock } from '../system/index.ts'
import { postgres, sqlite } from './dialect.ts'
import type { Dialect } from './dialect.ts'
import { createIdMaker } from './idMaker.ts'
import { SqliteClient, SqliteReadClient } from './SqliteClient.ts'

/** What a read needs: SQL access, and the moment of the answer. */
export interface Reader {
  readonly sql: Knex
  readonly dialect: Dialect
  readonly now: Instant
}

/** An open transaction. Await only database calls in it; side effects go through `afterCommit`. */
export interface Trx extends Reader {
  readonly kind: 'trx'
  newId(): string
  /** Runs once, after the outermost commit; never when the transaction fails. */
  afterCommit(effect: () => void | Promise<void>): void
}

export interface Database {
  readonly kind: 'database'
  readonly dialect: Dialect
  readonly clock: Clock
  /** The connection that writes; migrations and `inTransaction` use it. */
  readonly writer: Knex
  /** The next id, as of a moment in milliseconds; each sorts after the one before. */
  newId(milliseconds: number): string
  /** A reader as of now, on connections that cannot write. */
  reader(): Reader
  close(): Promise<void>
}

/** Where a use case writes: the database, which opens a transaction, or the caller's transaction. */
export type Writable = Database | Trx

const MOST_TRIES = 6

export interface SqliteOptions {
  readonly file: string
  readonly clock: Clock
  /** Wait for the disk at each commit. Only tests, whose files nobody keeps, switch it off. */
  readonly synced?: boolean
}

export function openSqlite({ file, clock, synced = true }: SqliteOptions): Database {
  const pragmas = ['foreign_keys = ON', 'busy_timeout = 5000', `synchronous = ${synced ? 'FULL' : 'OFF'}`]
  const connect = (readonly: boolean) =>
    knexModule({
      client: readonly ? SqliteReadClient : SqliteClient,
      connection: { filename: file, options: { readonly } },
      useNullAsDefault: true,
      pool: {
        min: 0,
        max: 1,
        // Knex's typings leave the connection open; better-sqlite3's has `pragma`.
        afterCreate: (
          connection: { pragma(text: string): unknown },
          done: (error: null, made: unknown) => void,
        ) => {
          if (!readonly) connection.pragma('journal_mode = WAL')
          for (const pragma of pragmas) connection.pragma(pragma)
          done(null, connection)
        },
      },
    })
  return makeDatabase(sqlite, clock, connect(false), connect(true))
}

export async function openPostgres(
  connection: string | Knex.PgConnectionConfig,
  clock: Clock,
): Promise<Database> {
  // PostgreSQL counts in 64 bits, which its driver gives as text; ours fit a number.
  const { types } = (await import('pg')).default
  types.setTypeParser(types.builtins.INT8, Number)
  // What it would write to the screen it throws as well.
  const log = { warn: () => undefined }
  const connect = (max: number) => knexModule({ client: 'pg', connection, log, pool: { min: 0, max } })
  return makeDatabase(postgres, clock, connect(4), connect(4))
}

function makeDatabase(dialect: Dialect, clock: Clock, writer: Knex, readers: Knex): Database {
  return {
    kind: 'database',
    dialect,
    clock,
    writer,
    newId: createIdMaker(),
    reader: () => ({ sql: readers, dialect, now: clock.now() }),
    close: async () => {
      await readers.destroy()
      await writer.destroy()
    },
  }
}

/**
 * Runs `work` in one transaction, or inside the caller's.
 *
 * A transaction that loses a conflict is retried, so `work` may run several times and must have no side effects
 * outside the database; those go through `trx.afterCommit`. Violated constraints become `conflict`, a full disk
 * `no-space`.
 */
export async function inTransaction<T>(on: Writable, work: (trx: Trx) => Promise<T>): Promise<T> {
  if (on.kind === 'trx') return work(on)
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await runOnce(on, work)
    } catch (error) {
      if (!on.dialect.isTransient(error)) throw translated(on.dialect, error)
      if (attempt >= MOST_TRIES) throw new AppError('busy', 'busy', { cause: error })
      await new Promise((resolve) => setTimeout(resolve, 10 * 2 ** attempt))
    }
  }
}

async function runOnce<T>(database: Database, work: (trx: Trx) => Promise<T>): Promise<T> {
  const effects: (() => void | Promise<void>)[] = []
  const now = database.clock.now()
  const result = await database.writer.transaction((sql) =>
    work({
      kind: 'trx',
      sql,
      dialect: database.dialect,
      now,
      newId: () => database.newId(toMilliseconds(now)),
      afterCommit: (effect) => effects.push(effect),
    }),
  )
  for (const effect of effects) await effect()
  return result
}

function translated(dialect: Dialect, error: unknown): unknown {
  if (dialect.isFull(error)) return new AppError('no-space', 'no-space', { cause: error })
  if (dialect.brokenConstraint(error) === 'unique') return new AppError('conflict', 'stale', { cause: error })
  return error
}
