// Sessions: what the browser learns about one, and when it ends.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { addMinutes, instantSchema } from '../time/index.ts'
import type { Instant } from '../time/index.ts'
import { classRoleSchema } from './schema.ts'
import { languageSchema } from './school.ts'

export const mySessionSchema = Type.Union([
  object({ state: Type.Literal('signed-out') }),
  object({
    state: Type.Literal('signed-in'),
    personId: idSchema,
    fullName: Type.String(),
    firstName: Type.String(),
    shownName: Type.String(),
    administrator: Type.Boolean(),
    memberships: Type.Array(
      object({
        classId: idSchema,
        className: Type.String(),
        classCode: Type.String(),
        role: classRoleSchema,
      }),
    ),
    language: languageSchema,
    letterKeys: Type.Boolean({ description: 'Whether single-letter keys act' }),
    showsWeek: Type.Boolean({ description: 'Whether Today tells of the week' }),
    hasPassword: Type.Boolean(),
    idleMinutes: Type.Integer(),
    endsAt: instantSchema,
  }),
])
export type MySession = Static<typeof mySessionSchema>
export type SignedIn = Extract<MySession, { state: 'signed-in' }>

export const signInSchema = object({
  signInName: Type.String({ minLength: 1, maxLength: 200 }),
  password: Type.String({ minLength: 1, maxLength: 1000 }),
})
export type SignIn = Static<typeof signInSchema>

export const openSessionSchema = object({
  id: idSchema,
  device: Type.String({ description: 'Browser and system, in short; may be empty' }),
  startedAt: instantSchema,
  lastSeenAt: instantSchema,
  here: Type.Boolean({ description: 'Whether it is the one that asks' }),
})
export type OpenSession = Static<typeof openSessionSchema>

export const preferencesSchema = Type.Object(
  {
    language: Type.Optional(languageSchema),
    letterKeys: Type.Optional(Type.Boolean()),
    showsWeek: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false, minProperties: 1 },
)
export type Preferences = Static<typeof preferencesSchema>

/** How long a session lasts; set by year group, or by the school for people without one. */
export interface SessionLimits {
  readonly idleMinutes: number
  readonly absoluteMinutes: number
}

/** The limits for people without a year group: staff. */
export const staffSessionLimits: SessionLimits = { idleMinutes: 60, absoluteMinutes: 12 * 60 }

/** Returns when a session expires: at the idle or the absolute limit, whichever comes first. */
export function sessionEndsAt(startedAt: Instant, lastSeenAt: Instant, limits: SessionLimits): Instant {
  const idle = addMinutes(lastSeenAt, limits.idleMinutes)
  const absolute = addMinutes(startedAt, limits.absoluteMinutes)
  return idle < absolute ? idle : absolute
}
