// Guides: structured work in stages that a teacher sets, and a student's own copy of it.
export { instructionPieces, isInstruction, newInstruction } from './instruction/instruction.ts'
export type { Instruction } from './instruction/schema.ts'
export { differenceGuides } from './differenceGuides.ts'
export {
  newCopyDocument,
  pageIdsOf,
  questionsOf,
  readableCopy,
  rowsByStage,
  rowsOf,
  takeVersion,
} from './guideCopy.ts'
export { guideFaults } from './guideFaults.ts'
export { dueAtOf, guideMoments } from './guideMoments.ts'
export { mergeGuides } from './mergeGuides.ts'
export {
  guideContentSchema,
  guideCopySchema,
  guideListSchema,
  guideProgressSchema,
  guideReadingSchema,
  guideSchemas,
  newFeedbackOnCopySchema,
  newGuideEntrySchema,
  stageOpeningSchema,
} from './schema.ts'
export type {
  Block,
  FeedbackOnCopy,
  GuideContent,
  GuideCopy,
  GuideCopyReading,
  GuideProgress,
  GuideRow,
  GuideStudentRow,
  GuideVersion,
  NewFeedbackOnCopy,
  NewGuideEntry,
  Stage,
  StageMoments,
  StageOnRoute,
  StageOpeningWish,
} from './schema.ts'
export { mustHandIn, progressOfStage, stageStates } from './stageStates.ts'
export { stageRequirements } from './stageRequirements.ts'
export {
  guideReadings,
  guideScale,
  LONGEST_GUIDE_FEEDBACK,
  LONGEST_STAGE_NAME,
  MOST_BLOCKS,
  MOST_INSTRUCTION_ITEMS,
  MOST_STAGES,
  QUIET_DAYS,
  stageOpenings,
} from './valueLists.ts'
export type { GuideReading, StageProgress } from './valueLists.ts'
