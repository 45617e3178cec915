// Sign-in links: a one-time way to choose a (new) password.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'

/** How long a sign-in link is valid, in minutes, by who asked for it. */
export const signInLinkMinutes = { self: 60, administrator: 3 * 24 * 60 } as const

export const signInLinkSchema = object({
  address: Type.Union([Type.String(), Type.Null()], {
    description: 'The link to hand over; null where it went to the person by mail',
  }),
  until: instantSchema,
})
export type SignInLink = Static<typeof signInLinkSchema>

export const choosePasswordSchema = object({
  token: Type.String({ minLength: 1, maxLength: 200 }),
  password: Type.String({ minLength: 1, maxLength: 1000 }),
})

export const changePasswordSchema = object({
  present: Type.String({ minLength: 1, maxLength: 1000 }),
  next: Type.String({ minLength: 1, maxLength: 1000 }),
})

export const forgottenPasswordSchema = object({ signInName: Type.String({ minLength: 1, maxLength: 200 }) })
