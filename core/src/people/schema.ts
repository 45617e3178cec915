// People, the year groups they belong to, and their dated memberships in classes.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import { languageSchema } from './school.ts'
import { classRoles, shownNameRules } from './valueLists.ts'

export const classRoleSchema = Type.Enum([...classRoles])

export const yearGroupSchema = object({
  id: idSchema,
  name: Type.String(),
  shownNameRule: Type.Enum([...shownNameRules]),
  idleMinutes: Type.Integer({
    description: 'Minutes without a sign of life after which one is signed out',
  }),
  absoluteMinutes: Type.Integer({ description: 'Minutes after which one is signed out whatever one does' }),
})
export type YearGroup = Static<typeof yearGroupSchema>

const nameSchema = Type.String({ minLength: 1, maxLength: 120 })
const signInNameSchema = Type.String({ minLength: 2, maxLength: 80, pattern: '^[^\\s@]+(@[^\\s@]+)?$' })

export const membershipSchema = object({
  id: idSchema,
  personId: idSchema,
  classId: idSchema,
  className: Type.String(),
  role: classRoleSchema,
  firstDay: nullable(localDaySchema),
  lastDay: nullable(localDaySchema),
  state: Type.Enum(['to-come', 'running', 'ended']),
  revision: Type.Integer(),
})
export type Membership = Static<typeof membershipSchema>

const personSchema = object({
  id: idSchema,
  fullName: Type.String(),
  firstName: Type.String(),
  chosenName: nullable(Type.String()),
  shownName: Type.String({ description: 'The name others see, by the rule of the year group' }),
  signInName: Type.String(),
  email: nullable(Type.String()),
  language: languageSchema,
  administrator: Type.Boolean(),
  yearGroupId: nullable(idSchema),
  endedAt: nullable(instantSchema),
  hasPassword: Type.Boolean(),
  revision: Type.Integer(),
})
export type Person = Static<typeof personSchema>

/** A row of the people list: the person with their current classes. */
const personRowSchema = object({
  ...Type.Omit(personSchema, ['email', 'language', 'firstName', 'chosenName']).properties,
  memberships: Type.Array(Type.Pick(membershipSchema, ['id', 'classId', 'className', 'role'])),
})
export type PersonRow = Static<typeof personRowSchema>

export const personPageSchema = object({
  items: Type.Array(personRowSchema),
  next: nullable(Type.String({ description: 'The cursor of the next page' })),
  count: Type.Integer({ description: 'How many match in all' }),
})
export type PersonPage = Static<typeof personPageSchema>

export const personDetailSchema = object({ person: personSchema, memberships: Type.Array(membershipSchema) })
export type PersonDetail = Static<typeof personDetailSchema>

export const personInputSchema = object({
  fullName: nameSchema,
  firstName: nameSchema,
  chosenName: nullable(nameSchema),
  signInName: signInNameSchema,
  email: nullable(Type.String({ format: 'email', maxLength: 200 })),
  language: languageSchema,
  administrator: Type.Boolean(),
  yearGroupId: nullable(idSchema),
})
export type PersonInput = Static<typeof personInputSchema>

export const membershipInputSchema = object({
  classId: idSchema,
  role: classRoleSchema,
  firstDay: nullable(localDaySchema),
  lastDay: nullable(localDaySchema),
})
export type MembershipInput = Static<typeof membershipInputSchema>

export const peopleQuerySchema = object({
  text: Type.Optional(Type.String({ maxLength: 120 })),
  yearGroupId: Type.Optional(idSchema),
  classId: Type.Optional(idSchema),
  state: Type.Optional(Type.Enum(['present', 'ended', 'all'])),
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
})
export type PeopleQuery = Static<typeof peopleQuerySchema>
