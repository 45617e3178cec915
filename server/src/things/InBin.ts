// What the bin asks the room of a kind of things.
import type { EvidenceRow } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Reader, Trx } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import type { ThingRow } from './store.ts'

export interface InBin {
  /** @throws AppError where something stands in the way of putting a thing away */
  assertMayGo(reader: Reader, thing: ThingRow): Promise<void>
  /** Whether a thing may be removed without lying in the bin first: one that is as it was begun loses nobody anything. */
  mayGoAtOnce(reader: Reader, actor: PersonActor, thing: ThingRow): Promise<boolean>
  /** Brings up to date what follows from things going into the bin or coming out of it. */
  afterMove(trx: Trx, things: readonly ThingRow[]): Promise<void>
  /** Removes what does not go by itself with the rows of these things. */
  beforeRemoval(trx: Trx, jobs: Jobs, things: readonly ThingRow[]): Promise<void>
  /** Brings up to date what these things were part of. */
  afterRemoval(trx: Trx, things: readonly ThingRow[]): Promise<void>
  /** Lists what lists show of evidence. */
  listItems(reader: Reader, actor: PersonActor, ids: readonly string[]): Promise<EvidenceRow[]>
}

/** For a kind on which nothing else depends. */
export const usualInBin: InBin = {
  assertMayGo: async () => undefined,
  mayGoAtOnce: async () => false,
  afterMove: async () => undefined,
  beforeRemoval: async () => undefined,
  afterRemoval: async () => undefined,
  listItems: async () => [],
}
