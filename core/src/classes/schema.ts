// Classes, and who is in one.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { classRoleSchema, idSchema } from '../people/index.ts'
import { instantSchema } from '../time/index.ts'

export const classSchema = Type.Object(
  {
    id: idSchema,
    name: Type.String(),
    code: Type.String({ description: 'The short code of the course, such as FLD-204' }),
    endedAt: Type.Union([instantSchema, Type.Null()]),
    students: Type.Integer({ description: 'How many are in it now' }),
    assessors: Type.Integer({ description: 'How many are in it now, leads included' }),
    revision: Type.Integer(),
  },
  { additionalProperties: false },
)
export type Class = Static<typeof classSchema>

/** A member of a class, as the other members see them. */
const rosterMemberSchema = Type.Object(
  {
    personId: idSchema,
    shownName: Type.String(),
    role: classRoleSchema,
    me: Type.Boolean(),
  },
  { additionalProperties: false },
)
export type RosterMember = Static<typeof rosterMemberSchema>

export const classDetailSchema = Type.Object(
  { class: classSchema, members: Type.Array(rosterMemberSchema) },
  { additionalProperties: false },
)
export type ClassDetail = Static<typeof classDetailSchema>

export const classInputSchema = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120 }),
    code: Type.String({ minLength: 1, maxLength: 30, pattern: '^\\S+$' }),
  },
  { additionalProperties: false },
)
export type ClassInput = Static<typeof classInputSchema>
