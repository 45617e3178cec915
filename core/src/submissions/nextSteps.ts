// Next steps: what a student does next, computed from assignments, readiness and what became of earlier hand-ins.
import type { CheckedRequirement } from '../assignments/index.ts'
import type { Localized } from '../people/index.ts'
import type { Instant } from '../time/index.ts'
import { gapsOf } from './readiness.ts'
import type { NextStep, SubmissionRow } from './schema.ts'

export interface OpenAssignment {
  readonly id: string
  /** The guide that is worked through for it; null for none. */
  readonly guideId: string | null
  readonly title: Localized
  readonly dueAt: Instant | null
  readonly readiness: readonly CheckedRequirement[]
  readonly latest: SubmissionRow | null
  /** The shown name of whoever asked for changes to `latest`; null where nobody did. */
  readonly askedBy: string | null
}

const stepAfter: Readonly<Record<SubmissionRow['state'], NextStep['kind'] | null>> = {
  sealing: null,
  'with-assessor': null,
  accepted: null,
  replaced: null,
  'not-sealed': 'hand-in',
  'taken-back': 'hand-in',
  'changes-asked': 'change',
}

/**
 * Computes the steps, next due first and those without a due time last. A submission that an assessor has, or has
 * accepted, needs no step.
 */
export function computeNextSteps(assignments: readonly OpenAssignment[], now: Instant): NextStep[] {
  const steps = assignments.flatMap(
    ({ id, guideId, title, dueAt, readiness, latest, askedBy }): NextStep[] => {
      const kind = latest ? stepAfter[latest.state] : 'hand-in'
      if (kind === null) return []
      return [
        {
          kind,
          assignmentId: id,
          guideId,
          title,
          dueAt,
          isOverdue: dueAt !== null && dueAt <= now,
          there: readiness.filter(({ result }) => result.isThere).length,
          of: readiness.length,
          gaps: gapsOf(readiness),
          latest,
          askedBy: kind === 'change' ? askedBy : null,
        },
      ]
    },
  )
  // A letter that follows every digit puts what is never due last.
  const key = ({ dueAt, assignmentId }: NextStep) => `${dueAt ?? 'z'} ${assignmentId}`
  return steps.sort((a, b) => (key(a) < key(b) ? -1 : 1))
}
