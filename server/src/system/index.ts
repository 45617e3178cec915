// What the server takes from its machine: the clock, the codes of errors, and its own secrets.
export { shiftedClock, systemClock } from './clock.ts'
export type { Clock } from './clock.ts'
export { errorCodeOf, isDiskFull } from './errorCode.ts'
export { hashToken, makeKeys, newToken, openKeys } from './keys.ts'
export type { ServerKeys } from './keys.ts'
