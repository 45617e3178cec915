// What a kind of requirement says: how one begins, which facts it is computed from, and how.
import type { FactName, Facts } from './facts.ts'
import type { RequirementKind, RequirementOf, ResultOf } from './requirementSchemas.ts'

export interface RequirementDefinition<K extends RequirementKind, Needed extends FactName = FactName> {
  /** The facts that `check` looks at, beside the parts. */
  readonly needs: readonly Needed[]
  /** Whether guides alone make such requirements. */
  readonly isFromGuide?: boolean
  /** A requirement as it is added to an assignment. */
  create(id: string): RequirementOf<K>
  /** Finds out whether what goes in meets the requirement, and what exactly is missing. */
  readonly check: (requirement: RequirementOf<K>, facts: Pick<Facts, Needed | 'parts'>) => ResultOf<K>
}
