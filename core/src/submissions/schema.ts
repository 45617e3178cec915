// Submissions: choosing parts, readiness, the act and record of handing in, and what assessors answer.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { assignmentSchema, checkedRequirementSchema, levelSchema } from '../assignments/index.ts'
import { partKinds } from '../things/index.ts'
import { feedbackSchema, newFeedbackSchema } from '../feedback/index.ts'
import { pageChangesSchema } from '../pages/index.ts'
import { localizedSchema } from '../people/index.ts'
import { instantSchema } from '../time/index.ts'
import { submissionStates } from './states.ts'
import { MOST_PARTS, partCopies } from './valueLists.ts'
import { copyFaultKinds } from './verifyCopy.ts'

const count = Type.Integer({ minimum: 0 })
const itemSchema = object({ id: idSchema, title: Type.String() })

const chosenPartSchema = object({
  kind: Type.Enum([...partKinds]),
  id: idSchema,
  isIn: Type.Boolean({ description: 'Whether it goes in; what was chosen once stays listed' }),
  copy: Type.Enum([...partCopies], { description: 'Which copy of a page goes in' }),
})
export type ChosenPart = Static<typeof chosenPartSchema>

export const choiceChangeSchema = object({ parts: Type.Array(chosenPartSchema, { maxItems: MOST_PARTS }) })

/** A chosen part with what its author needs to know about it. */
const listedPartSchema = object({
  ...chosenPartSchema.properties,
  title: Type.String(),
  goesIn: Type.Boolean({ description: 'Whether it goes in as things are; a page never published does not' }),
  pieces: count,
  publishedAt: nullable(instantSchema),
  changes: Type.Integer({ description: 'Changes to a page since it was published' }),
  draftRevision: nullable(Type.Integer()),
  isBinned: Type.Boolean(),
})
export type ListedPart = Static<typeof listedPartSchema>

const receivedLevelSchema = object({
  level: levelSchema,
  position: Type.Integer({ minimum: 1, description: 'From 1, the lowest' }),
  of: Type.Integer({ minimum: 1 }),
})
export type ReceivedLevel = Static<typeof receivedLevelSchema>

/** A row of a list. `state` changes; the other marks stay true. */
export const submissionRowSchema = object({
  id: idSchema,
  assignmentId: idSchema,
  title: localizedSchema(Number.MAX_SAFE_INTEGER),
  className: Type.String(),
  classCode: Type.String(),
  ownerName: Type.String(),
  n: Type.Integer({ minimum: 1, description: 'Which hand-in of this assignment it is' }),
  state: Type.Enum([...submissionStates]),
  number: nullable(Type.String({ description: 'Once it is sealed' })),
  requestedAt: instantSchema,
  lateMinutes: Type.Integer({ minimum: 0 }),
  byItself: Type.Boolean({ description: 'Handed in automatically when it was due' }),
  cameAt: nullable({
    ...instantSchema,
    description: 'When the last came of what a device says was written before it was due',
  }),
  gaps: count,
  parts: count,
  sealedAt: nullable(instantSchema),
  openedAt: nullable(instantSchema),
  decidedAt: nullable(instantSchema),
  level: nullable(receivedLevelSchema),
})
export type SubmissionRow = Static<typeof submissionRowSchema>

const decisionSchema = object({
  allowed: Type.Boolean(),
  reason: nullable(Type.String()),
  params: Type.Record(Type.String(), Type.Union([Type.String(), Type.Number()])),
})

/** Everything that the hand-in screen needs. */
export const handInSchema = object({
  assignment: assignmentSchema,
  parts: Type.Array(listedPartSchema),
  revision: Type.Integer(),
  readiness: Type.Array(checkedRequirementSchema),
  items: Type.Array(itemSchema, { description: 'The evidence that would go in' }),
  totals: object({ parts: count, pieces: count, files: count, bytes: count }),
  assessors: Type.Array(Type.String()),
  latest: nullable(submissionRowSchema),
  decision: decisionSchema,
})
export type HandIn = Static<typeof handInSchema>

/** What the student saw when handing in; if it is no longer true, nothing is handed in. */
export const handingInSchema = object({
  gaps: Type.Array(Type.String(), { description: 'The requirements that the screen named as missing' }),
  terms: Type.Integer({ minimum: 0, description: 'How many terms were agreed to' }),
})
export type HandingIn = Static<typeof handingInSchema>

const sealedPartRowSchema = object({
  n: Type.Integer({ minimum: 1 }),
  kind: Type.Enum([...partKinds]),
  thingId: idSchema,
  title: Type.String(),
  copy: Type.Enum(['published', 'draft', 'present'], {
    description: 'The published copy of a page, its draft, or what has one text only',
  }),
})
export type SealedPartRow = Static<typeof sealedPartRowSchema>

export const submissionSchema = object({
  ...submissionRowSchema.properties,
  isMine: Type.Boolean(),
  dueAt: nullable(instantSchema),
  partList: Type.Array(sealedPartRowSchema),
  readiness: Type.Array(checkedRequirementSchema),
  scale: Type.Array(levelSchema),
  files: count,
  bytes: count,
  manifestSha256: nullable(Type.String()),
  assessors: Type.Array(Type.String()),
  openedByName: nullable(Type.String()),
  decidedByName: nullable(Type.String()),
  previousId: nullable(idSchema),
  mayTakeBack: Type.Boolean(),
  mayUndo: Type.Boolean({ description: 'Whether the reader may undo the outcome now' }),
  revision: Type.Integer(),
})
export type Submission = Static<typeof submissionSchema>

/** A part of a sealed copy, with the changes before and after it. */
export const sealedPartSchema = object({
  ...sealedPartRowSchema.properties,
  lang: Type.String(),
  html: Type.String({ description: 'As it was sealed' }),
  fromPrevious: nullable(pageChangesSchema),
  since: Type.Enum(['same', 'changed', 'unseen', 'gone'], {
    description: 'What became of the thing since, as far as the reader may know',
  }),
  changes: pageChangesSchema,
})
export type SealedPart = Static<typeof sealedPartSchema>

export const submissionListSchema = object({
  items: Type.Array(submissionRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type SubmissionList = Static<typeof submissionListSchema>

/** A page of the queue of one assignment, or of all that somebody reads. */
export const queueSchema = object({
  assignment: nullable(assignmentSchema),
  items: Type.Array(submissionRowSchema),
  next: nullable(Type.String()),
  toRead: count,
  read: count,
  failed: Type.Array(Type.String(), { description: 'Whose copies could not be handed in' }),
})
export type Queue = Static<typeof queueSchema>

const feedback = Type.Optional(newFeedbackSchema)

/**
 * An outcome: a request for changes with a sentence, or acceptance with one level of the scale; feedback can be sent
 * along.
 */
export const outcomeSchema = Type.Union([
  object({
    act: Type.Literal('ask-for-changes'),
    words: Type.String({ minLength: 1, maxLength: 2000 }),
    feedback,
  }),
  object({ act: Type.Literal('accept'), levelId: Type.String({ maxLength: 40 }), feedback }),
])
export type Outcome = Static<typeof outcomeSchema>

/** A submission after its outcome was undone, together with that outcome, so that the assessor can go on from it. */
export const undoneOutcomeSchema = object({ submission: submissionSchema, outcome: outcomeSchema })
export type UndoneOutcome = Static<typeof undoneOutcomeSchema>

/** What to do next for one assignment. */
const nextStepSchema = object({
  kind: Type.Enum(['hand-in', 'change']),
  assignmentId: idSchema,
  guideId: nullable(idSchema),
  title: localizedSchema(Number.MAX_SAFE_INTEGER),
  dueAt: nullable(instantSchema),
  isOverdue: Type.Boolean(),
  there: count,
  of: count,
  gaps: Type.Array(checkedRequirementSchema, { description: 'What is missing, each must first' }),
  latest: nullable(submissionRowSchema),
  askedBy: nullable(Type.String({ description: 'Who asked for changes' })),
})
export type NextStep = Static<typeof nextStepSchema>

/** Whether a sealed copy verifies, and the faults where it does not. */
export const copyCheckSchema = object({
  agrees: Type.Boolean(),
  files: count,
  faults: Type.Array(
    object({
      what: Type.Enum([...copyFaultKinds]),
      path: nullable(Type.String({ description: 'The file of the copy that it is about' })),
    }),
  ),
})
export type CopyCheck = Static<typeof copyCheckSchema>

/** What an assessor still has to read of one assignment. */
export const readingStepSchema = object({
  assignmentId: idSchema,
  title: localizedSchema(Number.MAX_SAFE_INTEGER),
  className: Type.String(),
  toRead: count,
  oldest: nullable(instantSchema),
})
export type ReadingStep = Static<typeof readingStepSchema>

const latestFeedbackSchema = object({
  ...feedbackSchema.properties,
  submissionId: idSchema,
  assignment: localizedSchema(Number.MAX_SAFE_INTEGER),
  state: Type.Enum([...submissionStates]),
})
export type LatestFeedback = Static<typeof latestFeedbackSchema>

export const todaySchema = object({
  at: instantSchema,
  steps: Type.Array(nextStepSchema),
  withAssessors: Type.Array(submissionRowSchema),
  reading: Type.Array(readingStepSchema),
  feedback: Type.Array(latestFeedbackSchema, { description: 'What others said last about my work' }),
})
export type TodayPlan = Static<typeof todaySchema>
