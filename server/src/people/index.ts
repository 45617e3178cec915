// People: who somebody is, what they are in which class, and how they come in.
export { makePasswordHasher } from './passwordHasher.ts'

export { peopleRoutes } from './routes.ts'
export { sessionRoutes } from './sessionRoutes.ts'
export { createMembership, createPerson } from './service.ts'
export { authenticate, startSession } from './sessionService.ts'
export { savePassword } from './sessionStore.ts'
export { setUpSchool, usualYearGroups } from './setUpSchool.ts'

export { makeSignInLink } from './signInLinkService.ts'
export { isPresent, joinNames, peopleNow } from './presenceStore.ts'
export { findShelfReach, getSchool, hasSchool } from './schoolStore.ts'
export { findNameAndLanguage, listShownNames } from './shownNameStore.ts'
export { findSignInName, listPresentPeople } from './store.ts'
export type { PeopleServices } from './services.ts'
