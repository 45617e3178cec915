// An assignment: what an assessor asks a class for, the requirements it is checked by, the scale it is judged on.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { localizedSchema } from '../people/index.ts'
import { instantSchema, localTimeSchema } from '../time/index.ts'
import { innerIdSchema } from './requirements/requirementFields.ts'
import { requirementSchema } from './requirements/requirementSchemas.ts'
import {
  FEWEST_LEVELS,
  LONGEST_ASSIGNMENT_TITLE,
  LONGEST_BRIEF,
  LONGEST_LEVEL,
  LONGEST_TERM,
  MOST_LEVELS,
  MOST_REQUIREMENTS,
  MOST_TERMS,
} from './valueLists.ts'

export const levelSchema = object({ id: innerIdSchema, name: localizedSchema(LONGEST_LEVEL) })

/** What an assessor decides about an assignment. */
export const assignmentInputSchema = object({
  title: localizedSchema(LONGEST_ASSIGNMENT_TITLE),
  brief: nullable(localizedSchema(LONGEST_BRIEF)),
  requirements: Type.Array(requirementSchema, { maxItems: MOST_REQUIREMENTS }),
  scale: Type.Array(levelSchema, {
    minItems: FEWEST_LEVELS,
    maxItems: MOST_LEVELS,
    description: 'Levels, the lowest first',
  }),
  terms: Type.Array(localizedSchema(LONGEST_TERM), {
    maxItems: MOST_TERMS,
    description: 'What one agrees to when handing in',
  }),
  dueLocal: nullable(localTimeSchema),
  allowsGaps: Type.Boolean({ description: 'Whether it can be handed in while a must is missing' }),
})
export type AssignmentInput = Static<typeof assignmentInputSchema>

export const newAssignmentSchema = object({ classId: idSchema, ...assignmentInputSchema.properties })
export type NewAssignment = Static<typeof newAssignmentSchema>

export const assignmentSchema = object({
  id: idSchema,
  classId: idSchema,
  className: Type.String(),
  classCode: Type.String(),
  ...assignmentInputSchema.properties,
  dueAt: nullable(instantSchema),
  guideId: nullable(idSchema),
  setAt: instantSchema,
  endedAt: nullable(instantSchema),
  revision: Type.Integer(),
})
export type Assignment = Static<typeof assignmentSchema>

/** A row of the assessor's list: the assignment with counts of what was handed in. */
const assignmentRowSchema = object({
  ...Type.Pick(assignmentSchema, ['id', 'classId', 'className', 'classCode', 'title', 'dueAt', 'endedAt'])
    .properties,
  students: Type.Integer({ description: 'Students of the class now' }),
  toRead: Type.Integer({ description: 'Sealed copies that are with the assessors' }),
  accepted: Type.Integer(),
})
export type AssignmentRow = Static<typeof assignmentRowSchema>

export const assignmentListSchema = object({
  items: Type.Array(assignmentRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type AssignmentList = Static<typeof assignmentListSchema>
