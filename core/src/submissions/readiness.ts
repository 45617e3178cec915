// Readiness: which requirements of an assignment one's choice of parts meets, and what exactly is missing.
import { requirementDefinitionOf } from '../assignments/index.ts'
import type { CheckedRequirement, Facts, Requirement } from '../assignments/index.ts'

/** Checks every requirement, in the order of the assignment. `facts` holds what `factsNeeded` says of them. */
export function computeReadiness(requirements: readonly Requirement[], facts: Facts): CheckedRequirement[] {
  return requirements.map((requirement) => {
    const result = requirementDefinitionOf(requirement.kind).check(requirement, facts)
    // Both are of the same kind, which the compiler does not follow.
    return { requirement, result } as CheckedRequirement
  })
}

/** Returns the gaps in the order in which to close them: missing `must` first, then missing `should`. */
export function gapsOf(readiness: readonly CheckedRequirement[]): CheckedRequirement[] {
  const missing = readiness.filter(({ result }) => !result.isThere)
  return [
    ...missing.filter(({ requirement }) => requirement.weight === 'must'),
    ...missing.filter(({ requirement }) => requirement.weight === 'should'),
  ]
}
