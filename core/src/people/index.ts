// People: who somebody is, what others call them, what they are in which class, and how they come in.
export { ownerActor, roleOf, systemActor, unknownActor } from './actor.ts'
export type { Actor, PersonActor } from './actor.ts'
export { decideMembership } from './decideMembership.ts'
export type { MembershipSpan } from './decideMembership.ts'
export { decidePassword, LEAST_PASSWORD_LENGTH } from './decidePassword.ts'
export { localizedDraftSchema, localizedSchema } from './localized.ts'
export type { Localized } from './localized.ts'
export { foldText, initialsOf, resolveShownName, toPlainLine, toSignInKey } from './names.ts'
export type { Names } from './names.ts'
export { personNamed } from './personNamed.ts'
export {
  changePasswordSchema,
  choosePasswordSchema,
  forgottenPasswordSchema,
  signInLinkMinutes,
  signInLinkSchema,
} from './passwordReset.ts'
export type { SignInLink } from './passwordReset.ts'
export {
  classRoleSchema,
  membershipInputSchema,
  membershipSchema,
  peopleQuerySchema,
  personDetailSchema,
  personInputSchema,
  personPageSchema,
  yearGroupSchema,
} from './schema.ts'
export type {
  Membership,
  MembershipInput,
  PeopleQuery,
  Person,
  PersonDetail,
  PersonInput,
  PersonPage,
  PersonRow,
  YearGroup,
} from './schema.ts'
export { schoolSchema } from './school.ts'
export type { School } from './school.ts'
export {
  mySessionSchema,
  openSessionSchema,
  preferencesSchema,
  sessionEndsAt,
  signInSchema,
  staffSessionLimits,
} from './session.ts'
export type { MySession, OpenSession, Preferences, SessionLimits, SignedIn, SignIn } from './session.ts'
export { classRoles, isAssessorRole, languages } from './valueLists.ts'
export type { ClassRole, Language, ShownNameRule } from './valueLists.ts'
export { isEmptyText, textIn } from './textIn.ts'
