// Classes, and who is in one.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { classRoleSchema } from '../people/index.ts'
import { instantSchema } from '../time/index.ts'

export const classSchema = object({
  id: idSchema,
  name: Type.String(),
  code: Type.String({ description: 'The short code of the course, such as FLD-204' }),
  endedAt: Type.Union([instantSchema, Type.Null()]),
  students: Type.Integer({ description: 'How many are in it now' }),
  assessors: Type.Integer({ description: 'How many are in it now, leads included' }),
  revision: Type.Integer(),
})
export type Class = Static<typeof classSchema>

/** A member of a class, as the other members see them. */
const rosterMemberSchema = object({
  personId: idSchema,
  shownName: Type.String(),
  role: classRoleSchema,
  me: Type.Boolean(),
})
export type RosterMember = Static<typeof rosterMemberSchema>

export const classDetailSchema = object({ class: classSchema, members: Type.Array(rosterMemberSchema) })
export type ClassDetail = Static<typeof classDetailSchema>

export const classInputSchema = object({
  name: Type.String({ minLength: 1, maxLength: 120 }),
  code: Type.String({ minLength: 1, maxLength: 30, pattern: '^\\S+$' }),
})
export type ClassInput = Static<typeof classInputSchema>
