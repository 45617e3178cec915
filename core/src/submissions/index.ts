// Submissions: parts, readiness, handing in, sealed copies, receipts, and what to do next.
export { toCanonicalJson } from './canonicalJson.ts'
export type { JsonValue } from './canonicalJson.ts'
export { computeNextSteps } from './nextSteps.ts'
export type { OpenAssignment } from './nextSteps.ts'
export { computeReadiness, gapsOf } from './readiness.ts'
export {
  choiceChangeSchema,
  copyCheckSchema,
  handingInSchema,
  handInSchema,
  outcomeSchema,
  queueSchema,
  readingStepSchema,
  sealedPartSchema,
  submissionListSchema,
  submissionRowSchema,
  submissionSchema,
  todaySchema,
  undoneOutcomeSchema,
} from './schema.ts'
export type {
  ChosenPart,
  CopyCheck,
  HandIn,
  HandingIn,
  ListedPart,
  NextStep,
  Outcome,
  Queue,
  ReadingStep,
  ReceivedLevel,
  LatestFeedback,
  SealedPart,
  SealedPartRow,
  Submission,
  SubmissionList,
  SubmissionRow,
  TodayPlan,
  UndoneOutcome,
} from './schema.ts'
export { receiptPrefixOf, toManifest, toReceiptNumber, toReceiptText } from './sealedCopy.ts'
export type { SealedFile } from './sealedCopy.ts'
export {
  decideHandIn,
  decideOutcome,
  decideTakeBack,
  decideUndoOutcome,
  stateAfter,
  submissionActs,
  submissionStates,
} from './states.ts'
export type { SubmissionState } from './states.ts'
export { findCopyFaults } from './verifyCopy.ts'
export type { FoundFile, TextToVerify } from './verifyCopy.ts'
export { LONGEST_FEEDBACK, MOST_PARTS, OUTCOME_UNDO_SECONDS } from './valueLists.ts'
export type { PartCopy } from './valueLists.ts'
