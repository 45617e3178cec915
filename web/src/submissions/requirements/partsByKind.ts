// The list of the kinds of requirements, with what each brings to screens.
import type { RequirementKind } from '@valise/core/assignments'
import { pageParts } from './page/pageParts.ts'
import type { RequirementParts } from './RequirementParts.ts'
import { rightsParts } from './rights/rightsParts.ts'
import { statementParts } from './statement/statementParts.ts'

export const partsByKind = {
  page: pageParts,
  statement: statementParts,
  rights: rightsParts,
} satisfies { [K in RequirementKind]: RequirementParts<K> }

export function partsOf<K extends RequirementKind>(kind: K): RequirementParts<K> {
  // The parts under a kind are those of requirements of this kind, which the compiler does not follow.
  return partsByKind[kind] as unknown as RequirementParts<K>
}
