// Guides: structured work in stages that assessors set, the copies of students, and handing them in when they are due.
export { guideJobs, planCollecting } from './dueJobs.ts'
export { createGuideEntry, getCopy, startCopy } from './copyService.ts'
export { copyRoom } from './copyRoom.ts'
export { guideRoom } from './guideRoom.ts'
export { listGuidesToDo } from './listService.ts'
export { guideCopyInBin, guideInBin } from './inBin.ts'
export { giveFeedback } from './readService.ts'
export { guideRoutes } from './routes.ts'
