// The states of a submission as an explicit machine, and what each person may do in which of them.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import { minutesBetween } from '../time/index.ts'
import type { Instant } from '../time/index.ts'
import { OUTCOME_UNDO_SECONDS } from './valueLists.ts'

export const submissionStates = [
  'sealing',
  'not-sealed',
  'with-assessor',
  'changes-asked',
  'accepted',
  'taken-back',
  'replaced',
] as const
export type SubmissionState = (typeof submissionStates)[number]

export const submissionActs = [
  'seal',
  'fail',
  'take-back',
  'ask-for-changes',
  'accept',
  'undo',
  'replace',
] as const
export type SubmissionAct = (typeof submissionActs)[number]

const leadsTo: Readonly<Record<SubmissionState, Partial<Record<SubmissionAct, SubmissionState>>>> = {
  sealing: { seal: 'with-assessor', fail: 'not-sealed', 'take-back': 'taken-back' },
  'not-sealed': {},
  'with-assessor': {
    'take-back': 'taken-back',
    'ask-for-changes': 'changes-asked',
    accept: 'accepted',
    // What was written before it was due came later, and was handed in with the rest.
    replace: 'replaced',
  },
  'changes-asked': { undo: 'with-assessor', replace: 'replaced' },
  accepted: { undo: 'with-assessor' },
  'taken-back': {},
  replaced: {},
}

/** Returns the state after an act; null where the act is not possible. */
export function stateAfter(state: SubmissionState, act: SubmissionAct): SubmissionState | null {
  return leadsTo[state][act] ?? null
}

/** The facts of a submission that the rules below need. */
export interface SubmissionFacts {
  readonly state: SubmissionState
  readonly openedAt: Instant | null
  readonly decidedAt: Instant | null
  readonly decidedBy: string | null
}

/** Allows handing in until an assessor has it, and again after changes were asked for. */
export function decideHandIn(
  latest: Pick<SubmissionFacts, 'state'> | null,
  assignment: { readonly endedAt: Instant | null; readonly allowsGaps: boolean },
  { parts, missingMusts }: { readonly parts: number; readonly missingMusts: number },
): Decision {
  if (assignment.endedAt !== null) return no('assignment-ended')
  if (latest?.state === 'sealing') return no('still-sealing')
  if (latest?.state === 'with-assessor') return no('with-assessor')
  if (latest?.state === 'accepted') return no('already-accepted')
  if (parts === 0) return no('nothing-goes-in')
  return missingMusts > 0 && !assignment.allowsGaps ? no('gaps-forbidden', { count: missingMusts }) : yes
}

/** Allows the student to take a submission back until an assessor has opened it. */
export function decideTakeBack({ state, openedAt }: SubmissionFacts): Decision {
  if (openedAt !== null && state === 'with-assessor') return no('opened-already')
  return stateAfter(state, 'take-back') === null ? no('not-to-take-back') : yes
}

/** Allows an assessor one outcome for a copy that they opened. */
export function decideOutcome(
  { state, openedAt }: SubmissionFacts,
  act: 'accept' | 'ask-for-changes',
): Decision {
  if (stateAfter(state, act) === null) return no('already-answered')
  return openedAt === null ? no('open-it-first') : yes
}

/** Allows the assessor who gave an outcome to undo it for a short time. */
export function decideUndoOutcome(
  { state, decidedAt, decidedBy }: SubmissionFacts,
  personId: string,
  now: Instant,
): Decision {
  if (stateAfter(state, 'undo') === null || decidedAt === null || decidedBy !== personId)
    return no('nothing-to-undo')
  return minutesBetween(decidedAt, now) * 60 > OUTCOME_UNDO_SECONDS
    ? no('too-late-to-undo', { seconds: OUTCOME_UNDO_SECONDS })
    : yes
}
