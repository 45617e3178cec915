// What requirements are computed from: the parts that go in, and what is known about them.
import type { ShownDocument } from '../../pages/index.ts'
import { countWords, textOf } from '../../pages/index.ts'
import type { PartKind } from '../../things/index.ts'

/** One part as it would be handed in. */
export interface GoingPart extends ShownDocument {
  readonly kind: PartKind
  readonly title: string
}

export interface Facts {
  readonly parts: readonly GoingPart[]
  /** The student's words about items, by item. */
  readonly statements: ReadonlyMap<string, string>
}

/** What is loaded only where a requirement needs it; the parts are always there. */
export type FactName = Exclude<keyof Facts, 'parts'>

export const noFacts: Facts = { parts: [], statements: new Map() }

export interface GoingItem {
  readonly id: string
  readonly title: string
  readonly rightsDeclared: boolean
}

/**
 * Returns the items that the chosen parts show, without duplicates, in reading order. Two pages may show one item at
 * different times: its rights count as declared where every one of them says so.
 */
export function itemsGoing({ parts }: Pick<Facts, 'parts'>): GoingItem[] {
  const items = parts.flatMap(({ shown }) => Object.values(shown.evidence))
  const first = new Map<string, (typeof items)[number]>()
  for (const item of items) if (!first.has(item.id)) first.set(item.id, item)
  const undeclared = new Set(items.filter(({ rightsDeclared }) => !rightsDeclared).map(({ id }) => id))
  return [...first.values()].map(({ id, title, fileName }) => ({
    id,
    title: title || fileName,
    rightsDeclared: !undeclared.has(id),
  }))
}

/** Counts the words of a statement by the same rule everywhere. */
export function countStatementWords(statement: string): number {
  return countWords(textOf(...statement.split('\n')))
}
