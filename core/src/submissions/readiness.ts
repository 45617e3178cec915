// Readiness: which requirements of an assignment one's choice of parts meets, and what exactly is missing.
import { countWords, definitionOf, piecesShown, textOf } from '../pages/index.ts'
import type { ShownDocument } from '../pages/index.ts'
import type { PageRequirement, Requirement, WantedPiece } from '../assignments/index.ts'
import type { ReadinessLine } from './schema.ts'
import type { PartKind } from './valueLists.ts'

/** One part as it would be handed in. */
export interface GoingPart extends ShownDocument {
  readonly kind: PartKind
  readonly title: string
}

export interface GoingThings {
  readonly parts: readonly GoingPart[]
  /** The student's words about items, by item. */
  readonly statements: ReadonlyMap<string, string>
}

/** Computes the state of every requirement, in the order of the assignment. */
export function computeReadiness(requirements: readonly Requirement[], going: GoingThings): ReadinessLine[] {
  return requirements.map((requirement) => {
    const { id, weight } = requirement
    switch (requirement.kind) {
      case 'page':
        return { id, weight, ...pageLine(requirement, going) }
      case 'statement':
        return { id, weight, ...statementLine(requirement.words, going) }
      case 'rights':
        return { id, weight, ...rightsLine(going) }
    }
  })
}

/** Counts the words of a statement by the same rule everywhere. */
export function countStatementWords(statement: string): number {
  return countWords(textOf(...statement.split('\n')))
}

/**
 * Returns the items that the chosen parts show, without duplicates, in reading order. Two pages may show one item at
 * different times: its rights count as declared where every one of them says so.
 */
export function itemsGoing({
  parts,
}: Pick<GoingThings, 'parts'>): { id: string; title: string; rightsDeclared: boolean }[] {
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

/** Returns the gaps in the order in which to close them: missing `must` first, then missing `should`. */
export function gapsOf<T extends Pick<ReadinessLine, 'isThere' | 'weight'>>(lines: readonly T[]): T[] {
  const missing = lines.filter(({ isThere }) => !isThere)
  return [
    ...missing.filter(({ weight }) => weight === 'must'),
    ...missing.filter(({ weight }) => weight === 'should'),
  ]
}

function pageLine({ pieces }: PageRequirement, { parts }: GoingThings) {
  const tried = parts
    .filter(({ kind }) => kind === 'page')
    .map((part) => ({ title: part.title, pieces: countWanted(pieces, part) }))
  const missingIn = (counted: readonly CountedPiece[]) =>
    counted.reduce((sum, { atLeast, there }) => sum + Math.max(0, atLeast - there), 0)
  const best = tried.reduce<(typeof tried)[number] | null>(
    (found, one) => (found && missingIn(found.pieces) <= missingIn(one.pieces) ? found : one),
    null,
  )
  return {
    kind: 'page' as const,
    isThere: best !== null && missingIn(best.pieces) === 0,
    page: best?.title ?? null,
    pieces: best?.pieces ?? pieces.map((piece) => ({ ...piece, there: 0 })),
  }
}

type CountedPiece = WantedPiece & { readonly there: number }

function countWanted(wanted: readonly WantedPiece[], { document, shown }: ShownDocument): CountedPiece[] {
  const sorts = piecesShown(document, shown).flatMap((piece) => definitionOf(piece).sorts(piece, shown))
  return wanted.map((piece) => ({ ...piece, there: sorts.filter((sort) => sort === piece.sort).length }))
}

function statementLine(words: number, going: GoingThings) {
  const counted = itemsGoing(going).map(({ id, title }) => ({
    id,
    title,
    words: countStatementWords(going.statements.get(id) ?? ''),
  }))
  const best = counted.reduce<(typeof counted)[number] | null>(
    (found, one) => (found && found.words >= one.words ? found : one),
    null,
  )
  return {
    kind: 'statement' as const,
    isThere: best !== null && best.words >= words,
    words: best?.words ?? 0,
    item: best && best.words > 0 ? { id: best.id, title: best.title } : null,
  }
}

function rightsLine(going: GoingThings) {
  const items = itemsGoing(going)
  const undeclared = items
    .filter(({ rightsDeclared }) => !rightsDeclared)
    .map(({ id, title }) => ({ id, title }))
  // Where nothing goes in, nothing is declared either.
  return {
    kind: 'rights' as const,
    isThere: going.parts.length > 0 && undeclared.length === 0,
    items: items.length,
    undeclared,
  }
}
