// Collections: beginning one, arranging it. What lies in it is never touched.
import { applyCollectionOperations, thingOf, wouldCircle } from '@valise/core/collections'
import type { Collection, CollectionItem, CollectionOperation } from '@valise/core/collections'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { sharedKinds } from '@valise/core/things'
import { inTransaction } from '../database/index.ts'
import type { Reader, Writable } from '../database/index.ts'
import { inOwnersTransaction, insertThing, listOwnThings } from '../things/index.ts'
import { listContainers, rewriteReach } from './reachStore.ts'
import * as store from './store.ts'
import type { CollectionHead } from './store.ts'

export function createCollection(on: Writable, actor: PersonActor, title: string): Promise<Collection> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    await insertThing(trx, { id, kind: 'collection', ownerId: actor.personId, title: toPlainLine(title) })
    await store.insertCollection(trx, actor, id)
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
  return inOwnersTransaction(on, actor.personId, async (trx) => {
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

/** @throws AppError `not-found` where something is not one's own: the same as for what is not there */
async function assertOwn(
  reader: Reader,
  actor: PersonActor,
  items: readonly CollectionItem[],
): Promise<void> {
  const ids = new Set(thingsOf(items))
  const own = await listOwnThings(reader, actor, sharedKinds, [...ids])
  if (own.length !== ids.size) throw new AppError('not-found', 'not-found')
}

async function assertNoCircle(
  reader: Reader,
  actor: PersonActor,
  id: string,
  items: readonly CollectionItem[],
): Promise<void> {
  const added = thingsOf(items)
  if (added.length === 0) return
  const containers = await listContainers(reader, actor.personId)
  // What is no collection holds nothing, and so makes no circle.
  if (added.some((child) => wouldCircle(containers, id, child)))
    throw new AppError('conflict', 'collection-circle')
}

function thingsOf(items: readonly CollectionItem[]): string[] {
  return items.flatMap((item) => thingOf(item) ?? [])
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
