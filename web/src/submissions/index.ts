// Handing in, receipts, sealed copies, the review desk.
export { LatestHandIn } from './LatestHandIn.tsx'
export { LazyPageChooser } from './LazyPageChooser.ts'
export { StateMark } from './StateMark.tsx'
export { SubmitScreen } from './SubmitScreen.tsx'
export { submissionQueries } from './queries.ts'
export type { DraftRequirement, FieldsProps } from './requirements/RequirementUi.ts'
export { uiOf } from './requirements/uiByKind.ts'
export { useHandingIn } from './useHandingIn.ts'
export { useSubmissionWords } from './useSubmissionWords.ts'
export {
  loadPageAnswers,
  loadReviewDeskScreen,
  loadSubmissionScreen,
  loadSubmissionsScreen,
} from './loaders.ts'
