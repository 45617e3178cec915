// Collections: beginning one, arranging it, the bin. What lies in it is never touched.
import { applyCollectionOperations, wouldCircle } from '@valise/core/collections'
import type { Collection, CollectionItem, CollectionOperation } from '@valise/core/collections'
import { BIN_KEPT_DAYS } from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { listContainers, rewriteReach } from './reachStore.ts'
import * as store from './store.ts'
import type { CollectionHead } from './store.ts'

export function createCollection(on: Writable, actor: PersonActor, title: string): Promise<Collection> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    await store.insertCollection(trx, actor, id, toPlainLine(title))
    return getCollection(trx, actor, id)
  })
}

export async function getCollection(reader: Reader, actor: PersonActor, id: string): Promise<Collection> {
  const head = await getHead(reader, actor, id)
  return {
    ...head,
    items: await store.listItems(reader, id),
    things: await store.listHeldThings(reader, id),
  }
}

/** Changes a collection; the change takes effect at once for everyone who can look at it. */
export function changeCollection(
  on: Writable,
  actor: PersonActor,
  id: string,
  {
    revision,
    operations,
  }: { readonly revision: number; readonly operations: readonly CollectionOperation[] },
): Promise<Collection> {
  return inTransaction(on, async (trx) => {
    const head = await getStored(trx, actor, id)
    if (head.revision !== revision) throw new AppError('stale', 'stale')
    const before = { title: head.title, items: await store.listItems(trx, id) }
    const tidied = operations.map((operation) =>
      'title' in operation ? { ...operation, title: toPlainLine(operation.title) } : operation,
    )
    const added = operations.flatMap((operation) => (operation.op === 'insert' ? [operation.item] : []))
    await assertOwn(trx, actor, added)
    await assertNoCircle(trx, actor, id, added)
    const after = applyCollectionOperations(before, tidied)
    if (!(await store.saveArrangement(trx, id, revision, after))) throw new AppError('stale', 'stale')
    await rewriteReach(trx, actor.personId)
    return getCollection(trx, actor, id)
  })
}

/** Moves a collection to the bin; one that is already there keeps its day. */
export function putCollectionIntoBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    const { binnedAt } = await getHead(trx, actor, id)
    if (binnedAt !== null) return
    await store.binCollection(trx, id, trx.now)
    await rewriteReach(trx, actor.personId)
  })
}

export function takeCollectionOutOfBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    await getHead(trx, actor, id)
    await store.binCollection(trx, id, null)
    await rewriteReach(trx, actor.personId)
  })
}

/** Removes a binned collection for good, before its 30 days are over. */
export function removeCollection(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    const head = await getHead(trx, actor, id)
    // One that is as it was begun was nothing to anybody.
    const isUntouched = head.revision === 1 && head.title === '' && !(await store.isReferredTo(trx, id))
    if (head.binnedAt === null && !isUntouched) throw new AppError('conflict', 'not-in-bin')
    await store.deleteCollections(trx, [id])
    await rewriteReach(trx, actor.personId)
  })
}

/** Removes the collections whose days in the bin are over. */
export async function sweepCollections(trx: Trx): Promise<void> {
  const over = await store.listCollectionsBinnedBefore(trx, addMinutes(trx.now, -BIN_KEPT_DAYS * 24 * 60))
  await store.deleteCollections(
    trx,
    over.map(({ id }) => id),
  )
  for (const ownerId of new Set(over.map((one) => one.ownerId))) await rewriteReach(trx, ownerId)
}

/** @throws AppError `not-found` where something is not one's own: the same as for what is not there */
async function assertOwn(
  reader: Reader,
  actor: PersonActor,
  items: readonly CollectionItem[],
): Promise<void> {
  const pages = items.flatMap((item) => (item.kind === 'page' ? [item.pageId] : []))
  const collections = items.flatMap((item) => (item.kind === 'collection' ? [item.collectionId] : []))
  const own = [
    ...(await store.listOwnThingIds(reader, actor, 'pages', pages)),
    ...(await store.listOwnThingIds(reader, actor, 'collections', collections)),
  ]
  if (new Set(own).size !== new Set([...pages, ...collections]).size)
    throw new AppError('not-found', 'not-found')
}

async function assertNoCircle(
  reader: Reader,
  actor: PersonActor,
  id: string,
  items: readonly CollectionItem[],
): Promise<void> {
  const children = items.flatMap((item) => (item.kind === 'collection' ? [item.collectionId] : []))
  if (children.length === 0) return
  const containers = await listContainers(reader, actor.personId)
  if (children.some((child) => wouldCircle(containers, id, child)))
    throw new AppError('conflict', 'collection-circle')
}

async function getHead(reader: Reader, actor: PersonActor, id: string): Promise<CollectionHead> {
  const head = await store.findCollection(reader, actor, id)
  if (!head) throw new AppError('not-found', 'not-found')
  return head
}

async function getStored(reader: Reader, actor: PersonActor, id: string): Promise<CollectionHead> {
  const head = await getHead(reader, actor, id)
  if (head.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return head
}
