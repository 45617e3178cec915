// Submissions: handing in, sealed copies with their receipts, the review desk, and today's plan.
import { deskRoutes } from './deskRoutes.ts'
import { handInRoutes } from './handInRoutes.ts'

export const submissionRoutes = [...handInRoutes, ...deskRoutes]
export { addFeedback, answer, openCopy } from './deskService.ts'
export { insertChoice, listChoices, replaceParts } from './choiceStore.ts'
export { changeChoice, getHandIn, handIn, takeBack } from './handInService.ts'
export { failHandIn, handInWhatCame, handInWhenDue } from './handInByItself.ts'
export { listLatest, toSubmissionRow } from './submissionStore.ts'
export { seal, submissionJobs } from './sealing.ts'
export type { SubmissionServices } from './services.ts'
