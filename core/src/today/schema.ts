// What Today knows beside the assignments: stages of guides that are open, and the week so far.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { weights } from '../assignments/index.ts'
import { fieldKinds } from '../pages/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'

const words = localizedDraftSchema(Number.MAX_SAFE_INTEGER)
const count = Type.Integer({ minimum: 0 })

/** A question of a stage that is still to be answered. */
const openQuestionSchema = object({
  id: Type.String(),
  kind: Type.Enum([...fieldKinds]),
  asks: words,
  weight: Type.Enum([...weights]),
})

/** A stage that is open, with what is still to do in it. */
const stageStepSchema = object({
  guideId: idSchema,
  copyId: nullable(idSchema),
  stageId: Type.String(),
  title: words,
  name: words,
  dueAt: nullable({
    ...instantSchema,
    description: 'When the stage closes, or the guide is handed in, whichever is first',
  }),
  isHandedIn: Type.Boolean({ description: 'Whether it is handed in by itself then' }),
  required: count,
  open: Type.Integer({ minimum: 0, description: 'How many of the required are still to be answered' }),
  questions: Type.Array(openQuestionSchema, {
    description: 'What is still to be answered, the required first',
  }),
})
export type StageStep = Static<typeof stageStepSchema>

const weekSchema = object({
  from: localDaySchema,
  until: localDaySchema,
  endsAt: instantSchema,
  entries: count,
  evidence: count,
})
export type Week = Static<typeof weekSchema>

export const todayStagesSchema = object({ stages: Type.Array(stageStepSchema), week: weekSchema })
export type TodayStages = Static<typeof todayStagesSchema>
