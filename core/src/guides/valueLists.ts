// Limits and lists of guides, apart from the schemas so that the web can use them.
import type { Localized } from '../people/index.ts'

/** How a copy is read: while it is written, or once it is handed in, which happens by itself when it is due. */
export const guideReadings = ['followed', 'sealed'] as const
export type GuideReading = (typeof guideReadings)[number]

/** When a stage opens: at a moment, when the stage before is done, or by its assessor's hand. */
export const stageOpenings = ['at', 'after', 'hand'] as const
export type StageOpening = (typeof stageOpenings)[number]

/** How far a stage has come. */
export const stageProgresses = ['not-begun', 'in-progress', 'done'] as const
export type StageProgress = (typeof stageProgresses)[number]

/** Whether one can work in a stage now. */
export const stagePhases = ['to-come', 'open', 'closed'] as const
export type StagePhase = (typeof stagePhases)[number]

export const MOST_STAGES = 20
export const MOST_BLOCKS = 60
export const LONGEST_STAGE_NAME = 120
/** How many pictures, films and files an instruction shows. */
export const MOST_INSTRUCTION_ITEMS = 12
export const LONGEST_GUIDE_FEEDBACK = 4000
/** After so many days without a change, a copy counts as left alone. */
export const QUIET_DAYS = 7

/** The levels by which copies that are handed in are answered. */
export const guideScale: readonly { readonly id: string; readonly name: Localized }[] = [
  { id: 'begun', name: { en: 'Begun', es: 'Empezado' } },
  { id: 'complete', name: { en: 'Complete', es: 'Completo' } },
]
