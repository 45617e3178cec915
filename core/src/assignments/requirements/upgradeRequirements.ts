// Requirements and results of earlier schemas, brought to the newest one when they are read.
import { AppError } from '../../problems/index.ts'
import { REQUIREMENTS_SCHEMA } from '../valueLists.ts'
import type { CheckedRequirement, Requirement } from './requirementSchemas.ts'

/** As they are stored: the schema beside the lists. */
export interface StoredRequirements {
  readonly schema: number
  readonly requirements: readonly object[]
}

/** Results as they are stored and sealed: each names its requirement. */
export interface StoredReadiness extends StoredRequirements {
  readonly readiness: readonly StoredResult[]
}
export interface StoredResult {
  readonly id: string
  readonly kind: string
  readonly weight: string
  readonly isThere: boolean
}

/** The step at place n leads from schema n + 1 to n + 2. Steps are pure, and are never changed once they shipped. */
const steps: readonly ((stored: StoredReadiness) => StoredReadiness)[] = []

/**
 * Upgrades the requirements of an assignment to the newest schema. The next save stores the result.
 *
 * @throws AppError `unexpected` when a newer version of Valise wrote them
 */
export function upgradeRequirements(stored: StoredRequirements): Requirement[] {
  const { requirements } = upgrade({ ...stored, readiness: [] })
  // The last step led to the newest schema, which is what this type says.
  return [...requirements] as Requirement[]
}

/**
 * Upgrades what was asked and found when something was handed in, each requirement with its result. Sealed copies are
 * never rewritten.
 *
 * @throws AppError `unexpected` when a newer version of Valise wrote it
 */
export function upgradeReadiness(stored: StoredReadiness): CheckedRequirement[] {
  const { requirements, readiness } = upgrade(stored)
  return (requirements as readonly Requirement[]).flatMap((requirement) => {
    const found = readiness.find(({ id }) => id === requirement.id)
    if (!found) return []
    const { id: _, kind: __, weight: ___, ...result } = found
    // The last step led to the newest schema: a result is that of its requirement's kind.
    return [{ requirement, result } as CheckedRequirement]
  })
}

/** Returns results as they are stored and sealed. */
export function toStoredResults(checked: readonly CheckedRequirement[]): StoredResult[] {
  return checked.map(({ requirement: { id, kind, weight }, result }) => ({ id, kind, weight, ...result }))
}

function upgrade(stored: StoredReadiness): StoredReadiness {
  if (stored.schema > REQUIREMENTS_SCHEMA) throw new AppError('unexpected', 'document-newer')
  return steps.slice(stored.schema - 1).reduce((present, step) => step(present), stored)
}
