// What collections hold, directly and through the collections in them; and why none may come to hold itself.
import type { CollectionItem } from './schema.ts'
import { thingOf } from './applyCollectionOperations.ts'

/** A page or collection directly in a collection. `isHidden` belongs to this place, not to the thing. */
export interface Edge {
  readonly containerId: string
  readonly thingId: string
  readonly itemId: string
  readonly isHidden: boolean
}

/** A collection, reduced to what `reachOf` needs. */
export interface Container {
  readonly id: string
  readonly isBinned: boolean
  readonly items: readonly CollectionItem[]
}

/** A thing that a reader of the container can reach; `itemId` is the item through which it is contained. */
export interface Reach {
  readonly containerId: string
  readonly thingId: string
  readonly itemId: string
}

export function edgesOf(containers: readonly Container[]): Edge[] {
  return containers.flatMap(({ id, items }) =>
    items.flatMap((item) => {
      const thingId = thingOf(item)
      return thingId === null ? [] : [{ containerId: id, thingId, itemId: item.id, isHidden: item.isHidden }]
    }),
  )
}

/**
 * Computes everything that each container contains, directly or nested, without hidden items and binned collections.
 *
 * Returns one row per container, contained thing and direct item of that thing, without duplicates.
 */
export function reachOf(containers: readonly Container[]): Reach[] {
  const open = containers.filter(({ isBinned }) => !isBinned)
  const places = new Map(open.map((one) => [one.id, edgesOf([one]).filter((edge) => !edge.isHidden)]))
  return open.flatMap(({ id }) =>
    below(id, places).map(({ thingId, itemId }) => ({ containerId: id, thingId, itemId })),
  )
}

/** Returns whether adding one collection to another would make a collection contain itself, hidden items included. */
export function wouldCircle(containers: readonly Container[], containerId: string, childId: string): boolean {
  const places = new Map(containers.map((one) => [one.id, edgesOf([one])]))
  return childId === containerId || below(childId, places).some(({ thingId }) => thingId === containerId)
}

function below(id: string, places: ReadonlyMap<string, readonly Edge[]>): Edge[] {
  const found: Edge[] = []
  const gone = new Set([id])
  const left = [id]
  for (let next = left.pop(); next !== undefined; next = left.pop()) {
    for (const edge of places.get(next) ?? []) {
      found.push(edge)
      if (gone.has(edge.thingId)) continue
      gone.add(edge.thingId)
      left.push(edge.thingId)
    }
  }
  return found
}
