// The bin: what lies in it, for how long, and what others lose by it.
export { BIN_KEPT_DAYS, binEndsAt } from './binEndsAt.ts'
export { binEffectsSchema, binListSchema } from './schema.ts'
export type { BinEffects, BinList, BinnedThing } from './schema.ts'
