// People, the year groups they belong to, and their dated memberships in classes.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { instantSchema, localDaySchema } from '../time/index.ts'
import { languageSchema } from './school.ts'
import { classRoles, shownNameRules } from './valueLists.ts'

export const idSchema = Type.String({ format: 'uuid' })

const nullable = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()])

export const classRoleSchema = Type.Enum([...classRoles])

export const yearGroupSchema = Type.Object(
  {
    id: idSchema,
    name: Type.String(),
    shownNameRule: Type.Enum([...shownNameRules]),
    idleMinutes: Type.Integer({
      description: 'Minutes without a sign of life after which one is signed out',
    }),
    absoluteMinutes: Type.Integer({ description: 'Minutes after which one is signed out whatever one does' }),
  },
  { additionalProperties: false },
)
export type YearGroup = Static<typeof yearGroupSchema>

const nameSchema = Type.String({ minLength: 1, maxLength: 120 })
const signInNameSchema = Type.String({ minLength: 2, maxLength: 80, pattern: '^[^\\s@]+(@[^\\s@]+)?$' })

export const membershipSchema = Type.Object(
  {
    id: idSchema,
    personId: idSchema,
    classId: idSchema,
    className: Type.String(),
    role: classRoleSchema,
    firstDay: nullable(localDaySchema),
    lastDay: nullable(localDaySchema),
    state: Type.Enum(['to-come', 'running', 'ended']),
    revision: Type.Integer(),
  },
  { additionalProperties: false },
)
export type Membership = Static<typeof membershipSchema>

const personSchema = Type.Object(
  {
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
  },
  { additionalProperties: false },
)
export type Person = Static<typeof personSchema>

/** A row of the people list: the person with their current classes. */
const personRowSchema = Type.Object(
  {
    ...Type.Omit(personSchema, ['email', 'language', 'firstName', 'chosenName']).properties,
    memberships: Type.Array(Type.Pick(membershipSchema, ['id', 'classId', 'className', 'role'])),
  },
  { additionalProperties: false },
)
export type PersonRow = Static<typeof personRowSchema>

export const personPageSchema = Type.Object(
  {
    items: Type.Array(personRowSchema),
    next: nullable(Type.String({ description: 'The cursor of the next page' })),
    count: Type.Integer({ description: 'How many match in all' }),
  },
  { additionalProperties: false },
)
export type PersonPage = Static<typeof personPageSchema>

export const personDetailSchema = Type.Object(
  { person: personSchema, memberships: Type.Array(membershipSchema) },
  { additionalProperties: false },
)
export type PersonDetail = Static<typeof personDetailSchema>

export const personInputSchema = Type.Object(
  {
    fullName: nameSchema,
    firstName: nameSchema,
    chosenName: nullable(nameSchema),
    signInName: signInNameSchema,
    email: nullable(Type.String({ format: 'email', maxLength: 200 })),
    language: languageSchema,
    administrator: Type.Boolean(),
    yearGroupId: nullable(idSchema),
  },
  { additionalProperties: false },
)
export type PersonInput = Static<typeof personInputSchema>

export const membershipInputSchema = Type.Object(
  {
    classId: idSchema,
    role: classRoleSchema,
    firstDay: nullable(localDaySchema),
    lastDay: nullable(localDaySchema),
  },
  { additionalProperties: false },
)
export type MembershipInput = Static<typeof membershipInputSchema>

export const peopleQuerySchema = Type.Object(
  {
    text: Type.Optional(Type.String({ maxLength: 120 })),
    yearGroupId: Type.Optional(idSchema),
    classId: Type.Optional(idSchema),
    state: Type.Optional(Type.Enum(['present', 'ended', 'all'])),
    cursor: Type.Optional(Type.String({ maxLength: 400 })),
    limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
  },
  { additionalProperties: false },
)
export type PeopleQuery = Static<typeof peopleQuerySchema>
