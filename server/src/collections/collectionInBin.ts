// Collections in the bin: what lies in one that is put away is not reached through it.
import { isReferredTo, usualInBin } from '../things/index.ts'
import type { InBin, ThingRow } from '../things/index.ts'
import type { Trx } from '../database/index.ts'
import { rewriteReach } from './reachStore.ts'

export const collectionInBin: InBin = {
  ...usualInBin,

  // One that is as it was begun was nothing to anybody.
  mayGoAtOnce: async (reader, _actor, { id, title, revision }) =>
    revision === 1 && title === '' && !(await isReferredTo(reader, id)),

  afterMove: rewriteReachOfOwners,
  afterRemoval: rewriteReachOfOwners,
}

async function rewriteReachOfOwners(trx: Trx, things: readonly ThingRow[]): Promise<void> {
  for (const ownerId of new Set(things.map((thing) => thing.ownerId))) await rewriteReach(trx, ownerId)
}
