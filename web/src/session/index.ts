// Who is signed in in this browser, at which school; that the session ended; what its tabs tell each other.
export { loseWhereSignedOut, regainSession, useLostSession } from './lostSession.ts'
export {
  refreshSession,
  rememberSession,
  sessionQueries,
  signOut,
  tellSeen,
  useChangePassword,
  useChoosePassword,
  useEndSessions,
  useForgottenPassword,
  usePreferences,
  useSignIn,
} from './queries.ts'
export { hearTabs, isLeaving, leavePage, tellTabs } from './tabs.ts'
export { useSession } from './useSession.ts'
export { useToday } from './useToday.ts'
