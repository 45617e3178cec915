// Today beside the assignments: which stages of guides come next, and the week so far.
export { todayStagesSchema } from './schema.ts'
export type { StageStep, TodayStages, Week } from './schema.ts'
export { computeStageSteps } from './stageSteps.ts'
export type { GuideToDo } from './stageSteps.ts'
