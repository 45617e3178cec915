// The list of the kinds of requirements, with what each says.
import type { FactName } from './facts.ts'
import { pageRequirement } from './page/pageRequirement.ts'
import type { RequirementDefinition } from './RequirementDefinition.ts'
import type { Requirement, RequirementKind } from './requirementSchemas.ts'
import { rightsRequirement } from './rights/rightsRequirement.ts'
import { stageRequirement } from './stage/stageRequirement.ts'
import { statementRequirement } from './statement/statementRequirement.ts'

const requirementDefinitions = {
  page: pageRequirement,
  statement: statementRequirement,
  rights: rightsRequirement,
  stage: stageRequirement,
} satisfies { [K in RequirementKind]: RequirementDefinition<K> }

/** The kinds in the order of the form. */
// The list has exactly these keys, which `Object.keys` does not say.
export const requirementKinds = Object.keys(requirementDefinitions) as RequirementKind[]

/** Those that an assessor adds to an assignment. */
export const offeredRequirementKinds = requirementKinds.filter(
  (kind) => !requirementDefinitionOf(kind).isFromGuide,
)

export function requirementDefinitionOf<K extends RequirementKind>(kind: K): RequirementDefinition<K> {
  // The definition under a kind is that of requirements of this kind, which the compiler does not follow.
  return requirementDefinitions[kind] as unknown as RequirementDefinition<K>
}

/** Returns the facts that any of these requirements is computed from, beside the parts. */
export function factsNeeded(requirements: readonly Requirement[]): ReadonlySet<FactName> {
  return new Set(requirements.flatMap(({ kind }) => requirementDefinitionOf(kind).needs))
}
