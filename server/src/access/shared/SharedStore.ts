// What the database knows of the things of one kind that passes are given for.
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import type { Reader } from '../../database/index.ts'

/** What others see of a thing in a list: never the title of a draft. */
export interface ReadableRow {
  readonly id: string
  readonly title: string
  readonly changedAt: Instant
}

/** How far a thing with a draft is published. */
export interface Publication {
  readonly id: string
  readonly publishedAt: Instant | null
  /** Whether there are changes that are not published. */
  readonly isNewer: boolean
}

/** Narrows a query to rows about some things, whose id a column holds; for `modify`. */
export type ByThing = (rows: Knex.QueryBuilder, column: string) => void

export interface SharedStore {
  /** Whether a row of `things` is published, in SQL; for a kind without drafts it always is. */
  readonly isPublished: string
  /** Lists those that can be read among some things, as others see them. */
  listReadable(reader: Reader, narrow: ByThing): Promise<ReadableRow[]>
  /** Lists how far these things are published; none for a kind without drafts. */
  listPublications(reader: Reader, ids: Knex.QueryBuilder): Promise<Publication[]>
}
