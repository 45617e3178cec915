// Changes of a collection, one after the other; what does not fit is refused as a whole.
import { AppError } from '../problems/index.ts'
import type { Arrangement, CollectionItem, CollectionOperation } from './schema.ts'
import { MOST_ITEMS } from './valueLists.ts'

/**
 * Returns the arrangement after the operations; the input stays unchanged.
 *
 * @throws AppError `conflict` when a named item is gone, a thing is already in the collection, or the collection is
 *   full
 */
export function applyCollectionOperations(
  arrangement: Arrangement,
  operations: readonly CollectionOperation[],
): Arrangement {
  return operations.reduce(applyOne, arrangement)
}

/** Returns the id of the thing in a place; null for a divider. */
export function thingOf(item: CollectionItem): string | null {
  return item.kind === 'thing' ? item.thingId : null
}

function applyOne(arrangement: Arrangement, operation: CollectionOperation): Arrangement {
  const { title, items } = arrangement
  switch (operation.op) {
    case 'set-title':
      return { title: operation.title, items }
    case 'insert':
      assertNew(items, operation.item)
      return { title, items: placed(items, operation.item, operation.after) }
    case 'move': {
      // Behind itself is where it is.
      if (operation.after === operation.id) return { title, items: [...items] }
      const item = get(items, operation.id)
      return { title, items: placed(without(items, item.id), item, operation.after) }
    }
    case 'remove':
      get(items, operation.id)
      return { title, items: without(items, operation.id) }
    case 'set-hidden':
      return { title, items: changed(items, operation.id, { isHidden: operation.isHidden }) }
    case 'name-divider': {
      const item = get(items, operation.id)
      if (item.kind !== 'divider') throw new AppError('conflict', 'item-gone')
      return { title, items: items.map((one) => (one === item ? { ...item, title: operation.title } : one)) }
    }
  }
}

function assertNew(items: readonly CollectionItem[], item: CollectionItem): void {
  if (items.length >= MOST_ITEMS)
    throw new AppError('conflict', 'collection-full', { params: { most: MOST_ITEMS } })
  const thing = thingOf(item)
  const isThere = items.some((one) => one.id === item.id || (thing !== null && thingOf(one) === thing))
  if (isThere) throw new AppError('conflict', 'already-in-collection')
}

function placed(
  items: readonly CollectionItem[],
  item: CollectionItem,
  after: string | null,
): CollectionItem[] {
  const at = after === null ? 0 : items.indexOf(get(items, after)) + 1
  return [...items.slice(0, at), item, ...items.slice(at)]
}

function changed(
  items: readonly CollectionItem[],
  id: string,
  change: { readonly isHidden: boolean },
): CollectionItem[] {
  get(items, id)
  return items.map((item) => (item.id === id ? { ...item, ...change } : item))
}

function without(items: readonly CollectionItem[], id: string): CollectionItem[] {
  return items.filter((item) => item.id !== id)
}

function get(items: readonly CollectionItem[], id: string): CollectionItem {
  const item = items.find((one) => one.id === id)
  if (!item) throw new AppError('conflict', 'item-gone')
  return item
}
