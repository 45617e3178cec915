// People: who somebody is, what others call them, what they are in which class, and how they come in.
export { roleOf, systemActor, unknownActor } from './actor.ts'
export type { Actor, PersonActor, PresentMembership, SystemActor, UnknownActor } from './actor.ts'
export { decideMembership } from './decideMembership.ts'
export type { MembershipSpan } from './decideMembership.ts'
export { decidePassword, LEAST_PASSWORD_LENGTH } from './decidePassword.ts'
export { foldText, initialsOf, resolveShownName, toPlainLine, toSignInKey } from './names.ts'
export type { Names } from './names.ts'
export {
  changePasswordSchema,
  choosePasswordSchema,
  forgottenPasswordSchema,
  signInLinkMinutes,
  signInLinkSchema,
} from './passwordReset.ts'
export type { SignInLink } from './passwordReset.ts'
export {
  classRoles,
  classRoleSchema,
  idSchema,
  isAssessorRole,
  membershipInputSchema,
  membershipSchema,
  peopleQuerySchema,
  personDetailSchema,
  personInputSchema,
  personPageSchema,
  personRowSchema,
  personSchema,
  shownNameRules,
  yearGroupSchema,
} from './schema.ts'
export type {
  ClassRole,
  Membership,
  MembershipInput,
  PeopleQuery,
  Person,
  PersonDetail,
  PersonInput,
  PersonPage,
  PersonRow,
  ShownNameRule,
  YearGroup,
} from './schema.ts'
export { languages, languageSchema, schoolSchema } from './school.ts'
export type { Language, School } from './school.ts'
export {
  mySessionSchema,
  openSessionSchema,
  preferencesSchema,
  sessionEndsAt,
  signInSchema,
  staffSessionLimits,
} from './session.ts'
export type { MySession, OpenSession, Preferences, SessionLimits, SignedIn, SignIn } from './session.ts'
