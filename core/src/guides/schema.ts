// Guides: what an assessor writes, a student's own copy, and how far a class has come.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { offeredFields, offeredSchemas } from '../offers/index.ts'
import type { OfferedVersion } from '../offers/index.ts'
import { draftSchema, LONGEST_ASKED, questionSchema, shownSchema } from '../pages/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { submissionRowSchema } from '../submissions/index.ts'
import { instantSchema, localDaySchema, localTimeSchema } from '../time/index.ts'
import { instructionSchema } from './instruction/schema.ts'
import {
  guideReadings,
  LONGEST_GUIDE_FEEDBACK,
  LONGEST_STAGE_NAME,
  MOST_BLOCKS,
  MOST_STAGES,
  stageOpenings,
  stagePhases,
  stageProgresses,
} from './valueLists.ts'

/** Made by whoever writes the guide. It names the same stage in every version. */
const stageIdSchema = Type.String({ pattern: '^[0-9a-z]{1,16}$' })

const blockSchema = Type.Union([instructionSchema, questionSchema])
export type Block = Static<typeof blockSchema>

const stageSchema = object({
  id: stageIdSchema,
  name: localizedDraftSchema(LONGEST_STAGE_NAME),
  opens: object({
    how: Type.Enum([...stageOpenings]),
    local: nullable(localTimeSchema),
  }),
  closesLocal: nullable(localTimeSchema),
  blocks: Type.Array(blockSchema, { maxItems: MOST_BLOCKS }),
})
export type Stage = Static<typeof stageSchema>

export const guideContentSchema = object({
  ...offeredFields,
  reading: Type.Enum([...guideReadings]),
  dueLocal: nullable(localTimeSchema),
  stages: Type.Array(stageSchema, { maxItems: MOST_STAGES }),
})
export type GuideContent = Static<typeof guideContentSchema>

export const guideSchemas = offeredSchemas<GuideContent>(guideContentSchema)
export type GuideVersion = OfferedVersion<GuideContent>

/** When a stage opens and closes for one class. */
const stageMomentsSchema = object({
  stageId: stageIdSchema,
  opensAt: nullable(instantSchema),
  closesAt: nullable(instantSchema),
  /** When it was opened by hand. */
  openedAt: nullable(instantSchema),
})
export type StageMoments = Static<typeof stageMomentsSchema>

const stageOnRouteSchema = object({
  id: stageIdSchema,
  name: localizedDraftSchema(LONGEST_STAGE_NAME),
  how: Type.Enum([...stageOpenings]),
  opensAt: nullable(instantSchema),
  closesAt: nullable(instantSchema),
  phase: Type.Enum([...stagePhases]),
  progress: Type.Enum([...stageProgresses]),
  required: Type.Integer({ minimum: 0, description: 'How many required questions it has' }),
  open: Type.Integer({ minimum: 0, description: 'How many of them are not answered' }),
})
export type StageOnRoute = Static<typeof stageOnRouteSchema>

/** A guide in the list of whoever works through it. */
const guideRowSchema = object({
  guideId: idSchema,
  /** Of the own copy, once it is begun. */
  copyId: nullable(idSchema),
  ...offeredFields,
  reading: Type.Enum([...guideReadings]),
  setBy: Type.String(),
  className: Type.String(),
  classCode: Type.String(),
  dueAt: nullable(instantSchema),
  isEnded: Type.Boolean({ description: 'Whether it is no longer offered, or its class has ended' }),
  changedAt: nullable(instantSchema),
  stages: Type.Array(stageOnRouteSchema),
  latest: nullable(submissionRowSchema),
})
export type GuideRow = Static<typeof guideRowSchema>
export const guideListSchema = Type.Array(guideRowSchema)

const feedbackOnCopySchema = object({
  id: idSchema,
  stageId: nullable(stageIdSchema),
  pieceId: nullable(Type.String()),
  text: Type.String(),
  at: instantSchema,
  authorName: Type.String(),
  isMine: Type.Boolean(),
})
export type FeedbackOnCopy = Static<typeof feedbackOnCopySchema>

export const newFeedbackOnCopySchema = object({
  stageId: nullable(stageIdSchema),
  pieceId: nullable(Type.String({ maxLength: 40 })),
  text: Type.String({ minLength: 1, maxLength: LONGEST_GUIDE_FEEDBACK }),
})
export type NewFeedbackOnCopy = Static<typeof newFeedbackOnCopySchema>

/** What a copy goes along, and all that is known about its guide now. */
const copyHeadFields = {
  id: idSchema,
  /** The moment of the answer: no screen depends on the clock of its device. */
  at: instantSchema,
  guideId: idSchema,
  n: Type.Integer({ minimum: 1, description: 'The version that it goes along' }),
  newest: Type.Integer({ minimum: 1 }),
  content: guideContentSchema,
  reading: Type.Enum([...guideReadings]),
  setBy: Type.String(),
  ownerName: Type.String(),
  className: Type.String(),
  classCode: Type.String(),
  moments: Type.Array(stageMomentsSchema),
  dueAt: nullable(instantSchema),
  isEnded: Type.Boolean(),
  begunAt: instantSchema,
  assignmentId: nullable(idSchema),
  latest: nullable(submissionRowSchema),
  feedback: Type.Array(feedbackOnCopySchema),
}

/** One's own copy, to work in. */
export const guideCopySchema = object({
  ...copyHeadFields,
  logbookId: nullable(idSchema),
  binnedAt: nullable(instantSchema),
  instructions: shownSchema,
  draft: draftSchema,
})
export type GuideCopy = Static<typeof guideCopySchema>

const readPartSchema = object({ title: Type.String(), html: Type.String() })

/** A copy as its readers see it. */
export const guideReadingSchema = object({
  ...copyHeadFields,
  isMine: Type.Boolean(),
  mayGiveFeedback: Type.Boolean(),
  changedAt: instantSchema,
  stages: Type.Array(
    object({
      /** Null for answers to questions that are no longer asked. */
      id: nullable(stageIdSchema),
      name: localizedDraftSchema(LONGEST_STAGE_NAME),
      progress: Type.Enum([...stageProgresses]),
      changedAfterClose: Type.Boolean(),
      questions: Type.Array(
        object({
          pieceId: Type.String(),
          asks: localizedDraftSchema(LONGEST_ASKED),
          isBlank: Type.Boolean(),
          html: Type.String({ description: 'The answer under its question' }),
        }),
      ),
    }),
  ),
  pages: Type.Array(readPartSchema, { description: 'As they are published' }),
})
export type GuideCopyReading = Static<typeof guideReadingSchema>

export const newGuideEntrySchema = object({
  questionId: Type.String({ maxLength: 16 }),
  day: localDaySchema,
})
export type NewGuideEntry = Static<typeof newGuideEntrySchema>

/** A cell of the table: how far a student has come in a stage. */
const cellSchema = object({
  progress: Type.Enum([...stageProgresses]),
  changedAt: nullable(instantSchema),
  changedAfterClose: Type.Boolean(),
})

const studentRowSchema = object({
  personId: idSchema,
  name: Type.String(),
  copyId: nullable(idSchema),
  changedAt: nullable(instantSchema),
  isQuiet: Type.Boolean({
    description: 'Whether nothing was changed for a week and a stage is still to be done',
  }),
  cells: Type.Array(cellSchema, { description: 'One for each stage, in their order' }),
  submissionId: nullable(idSchema),
  handIn: nullable(
    Type.Enum(['handed-in', 'by-itself', 'failed'], { description: 'What became of handing it in' }),
  ),
  feedback: Type.Integer({ minimum: 0 }),
})
export type GuideStudentRow = Static<typeof studentRowSchema>

/** How far a class has come with a guide. */
export const guideProgressSchema = object({
  at: instantSchema,
  guideId: idSchema,
  classId: idSchema,
  className: Type.String(),
  classCode: Type.String(),
  title: offeredFields.title,
  reading: Type.Enum([...guideReadings]),
  dueAt: nullable(instantSchema),
  assignmentId: nullable(idSchema),
  stages: Type.Array(
    object({
      id: stageIdSchema,
      name: localizedDraftSchema(LONGEST_STAGE_NAME),
      how: Type.Enum([...stageOpenings]),
      ...stageMomentsSchema.properties,
    }),
  ),
  students: Type.Array(studentRowSchema),
})
export type GuideProgress = Static<typeof guideProgressSchema>

export const stageOpeningSchema = object({
  classId: idSchema,
  stageId: stageIdSchema,
  isOpen: Type.Boolean(),
})
export type StageOpeningWish = Static<typeof stageOpeningSchema>
