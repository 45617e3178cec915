// The bin: putting things there, taking them out, removing them for good, and what others lose by it.
import type { BinEffects, BinList } from '@valise/core/bin'
import type { EvidenceRow } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { thingDefinitionOf, thingKinds } from '@valise/core/things'
import { countSeers, isShownToOthers } from '../access/index.ts'
import type { PageWish, Reader, Trx, Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import {
  inOwnersTransaction,
  deleteThings,
  findOwnThing,
  listOwnThings,
  listShelf,
  ownThings,
  setBinned,
} from '../things/index.ts'
import type { ThingRow } from '../things/index.ts'
import { refreshUnusedOf } from '../uses/index.ts'
import { byKind, inBinOf } from './inBins.ts'
import { countChosen, countHandedIn, listTitlesAround } from './store.ts'

/** Moves a thing to the bin; one that is already there keeps its day. */
export function putIntoBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const thing = await getOwn(trx, actor, id)
    if (thing.binnedAt === null) await move(trx, [thing], trx.now)
  })
}

/** Moves several things to the bin: all of them, or none when one is not one's own; what lies there keeps its day. */
export function putManyIntoBin(on: Writable, actor: PersonActor, ids: readonly string[]): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const things = await listOwnThings(trx, actor, thingKinds, ids)
    if (things.length !== new Set(ids).size) throw new AppError('not-found', 'not-found')
    await move(
      trx,
      things.filter(({ binnedAt }) => binnedAt === null),
      trx.now,
    )
  })
}

export function takeOutOfBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) =>
    move(trx, [await getOwn(trx, actor, id)], null),
  )
}

/** Removes a thing for good, before its days in the bin are over. */
export function removeForGood(on: Writable, jobs: Jobs, actor: PersonActor, id: string): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const thing = await getOwn(trx, actor, id)
    await inBinOf(thing).assertMayGo(trx, thing)
    if (thing.binnedAt === null && !(await inBinOf(thing).mayGoAtOnce(trx, actor, thing)))
      throw new AppError('conflict', 'not-in-bin')
    await remove(trx, jobs, [thing])
  })
}

/** Removes things with all that hangs on them, whoever owns them. */
export async function remove(trx: Trx, jobs: Jobs, things: readonly ThingRow[]): Promise<void> {
  const kinds = byKind(things)
  for (const { inBin, some } of kinds) await inBin.beforeRemoval(trx, jobs, some)
  await deleteThings(trx, idsOf(things))
  for (const { inBin, some } of kinds) await inBin.afterRemoval(trx, some)
}

/** Lists one page of the bin, last binned first. */
export async function listBin(reader: Reader, actor: PersonActor, wish: PageWish): Promise<BinList> {
  const binned = ownThings(reader, actor).whereNotNull('things.binnedAt')
  const shelf = await listShelf<ThingRow>(binned, () => undefined, 'binnedAt', wish)
  const rows: EvidenceRow[] = []
  for (const { inBin, some } of byKind(shelf.items))
    rows.push(...(await inBin.listItems(reader, actor, idsOf(some))))
  const items = shelf.items.map(({ id, kind, title, binnedAt }) => ({
    ...{ id, kind, title, binnedAt: binnedAt ?? reader.now },
    item: rows.find((row) => row.id === id) ?? null,
  }))
  return { ...shelf, items }
}

/** Finds what others would lose by a thing of one's own. */
export async function findBinEffects(reader: Reader, actor: PersonActor, id: string): Promise<BinEffects> {
  const { kind } = await getOwn(reader, actor, id)
  const { hasDraft } = thingDefinitionOf(kind)
  return {
    isPublished: hasDraft && (await isShownToOthers(reader, id)),
    seenBy: await countSeers(reader, actor, id),
    collections: await listTitlesAround(reader, id),
    chosenFor: await countChosen(reader, id),
    handedIn: await countHandedIn(reader, actor, id),
  }
}

async function move(trx: Trx, things: readonly ThingRow[], binnedAt: string | null): Promise<void> {
  if (binnedAt !== null) for (const thing of things) await inBinOf(thing).assertMayGo(trx, thing)
  await setBinned(trx, idsOf(things), binnedAt)
  await refreshUnusedOf(trx, idsOf(things))
  for (const { inBin, some } of byKind(things)) await inBin.afterMove(trx, some)
}

async function getOwn(reader: Reader, actor: PersonActor, id: string): Promise<ThingRow> {
  const thing = await findOwnThing(reader, actor, id)
  if (!thing) throw new AppError('not-found', 'not-found')
  return thing
}

function idsOf(things: readonly ThingRow[]): string[] {
  return things.map(({ id }) => id)
}
