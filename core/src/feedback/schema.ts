// Feedback: what assessors and students say to each other about something that was handed in.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'

const LONGEST = 8000

export const feedbackSchema = object({
  id: idSchema,
  part: nullable(Type.Integer({ minimum: 1, description: 'Which part it is on; null is the whole' })),
  isOpen: Type.Boolean({
    description: 'Open to whoever may look at the page; else to its author and the assessors alone',
  }),
  isRequest: Type.Boolean({ description: 'The sentence with which changes were asked for' }),
  text: Type.String(),
  at: instantSchema,
  authorName: Type.String(),
  isMine: Type.Boolean(),
})
export type Feedback = Static<typeof feedbackSchema>

export const feedbackListSchema = Type.Array(feedbackSchema)

export const newFeedbackSchema = object({
  part: nullable(Type.Integer({ minimum: 1, maximum: 1000 })),
  isOpen: Type.Boolean(),
  text: Type.String({ minLength: 1, maxLength: LONGEST }),
})
export type NewFeedback = Static<typeof newFeedbackSchema>
