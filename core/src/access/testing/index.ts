// For tests: small worlds of access made at random, and the naive answer to hold the real one against.
export { naiveAccess } from './naiveAccess.ts'
export { makeRandomWorld, MOMENTS } from './randomWorld.ts'
export type { RandomWorld } from './randomWorld.ts'
