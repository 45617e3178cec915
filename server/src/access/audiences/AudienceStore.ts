// What a kind of audience is in the database: whose passes those are, who its people are, and what it is called.
import type { AudienceKind, AudienceOf, Audiences, Viewer } from '@valise/core/access'
import type { ShownNameRule } from '@valise/core/people'
import type { Knex } from 'knex'
import type { Reader } from '../../database/index.ts'

export interface AudienceStore<K extends AudienceKind = AudienceKind> {
  /**
   * Narrows passes of this kind to those for the viewer at this moment; null where none can be for such a viewer. A test
   * compares it with the windows of the core.
   */
  isFor(reader: Reader, viewer: Viewer): Condition | null
  /** Selects the people whom these passes of this kind are for now, by `personId`; null where they are not known. */
  members(reader: Reader, passes: readonly PassTarget[]): Knex.QueryBuilder | null
  /** Whether its giver shares a class with whoever it is for. */
  isKnown(audience: AudienceOf<K>, known: Pick<Audiences, 'classes' | 'people'>): boolean
  name(row: NamedPassRow): string
}

type Condition = (passes: Knex.QueryBuilder) => void

export interface PassTarget {
  readonly audience: AudienceKind
  readonly personId: string | null
  readonly classId: string | null
}

/** What a row of the passes says about whom it is for. */
export interface NamedPassRow extends PassTarget {
  readonly linkName: string | null
  readonly className: string | null
  readonly fullName: string | null
  readonly firstName: string | null
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
}
