// The simulated outside services, on a port of their own; a school's server never has them.
export { startStandIns } from './startStandIns.ts'
export type { StandIns } from './startStandIns.ts'
