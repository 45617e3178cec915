// A page that holds certain content: all of it on one and the same page.
import { definitionOf, piecesShown } from '../../../pages/index.ts'
import type { ShownDocument } from '../../../pages/index.ts'
import type { GoingPart } from '../facts.ts'
import type { RequirementDefinition } from '../RequirementDefinition.ts'
import type { RequirementOf, ResultOf } from '../requirementSchemas.ts'

export const pageRequirement: RequirementDefinition<'page', never> = {
  needs: [],
  create: (id) => ({ id, kind: 'page', weight: 'must', pieces: [{ sort: 'picture', atLeast: 1 }] }),
  check({ pieces }, { parts }) {
    const tried = parts
      .filter(isPage)
      .map((part) => ({ title: part.title, pieces: countWanted(pieces, part) }))
    const best = tried.reduce<(typeof tried)[number] | null>(
      (found, one) => (found && missingIn(found.pieces) <= missingIn(one.pieces) ? found : one),
      null,
    )
    return {
      isThere: best !== null && missingIn(best.pieces) === 0,
      page: best?.title ?? null,
      pieces: best?.pieces ?? pieces.map((piece) => ({ ...piece, there: 0 })),
    }
  },
}

type CountedPieces = ResultOf<'page'>['pieces']

function isPage({ kind }: GoingPart): boolean {
  return kind === 'page'
}

function missingIn(counted: CountedPieces): number {
  return counted.reduce((sum, { atLeast, there }) => sum + Math.max(0, atLeast - there), 0)
}

function countWanted(
  wanted: RequirementOf<'page'>['pieces'],
  { document, shown }: ShownDocument,
): CountedPieces {
  const sorts = piecesShown(document, shown).flatMap((piece) => definitionOf(piece).sorts(piece, shown))
  return wanted.map((piece) => ({ ...piece, there: sorts.filter((sort) => sort === piece.sort).length }))
}
