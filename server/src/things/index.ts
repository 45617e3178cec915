// Things in the database: what everything that a person owns has in common.
export { usualInBin } from './InBin.ts'
export type { InBin } from './InBin.ts'
export { inOwnersTransaction, lockOwner } from './lockOwner.ts'
export {
  changeThing,
  giveThing,
  countThings,
  deleteThings,
  findOwnThing,
  insertThing,
  isReferredTo,
  listOwnThings,
  listShelf,
  listWithheld,
  noteDraft,
  ownThings,
  setBinned,
} from './store.ts'
export type { ThingRow } from './store.ts'
