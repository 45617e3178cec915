// What collections hold, directly and through the collections in them; and why none may come to hold itself.
import type { CollectionItem } from './schema.ts'
import { thingOf } from './applyCollectionOperations.ts'

/** A page or collection that lies directly in a collection. Hiding belongs to this place, not to the thing. */
export interface Edge {
  readonly containerId: string
  readonly thingId: string
  readonly itemId: string
  readonly isHidden: boolean
}

/** A collection as far as reaching goes. */
export interface Container {
  readonly id: string
  readonly isBinned: boolean
  readonly items: readonly CollectionItem[]
}

/** A thing that whoever may look at the container comes to; `itemId` is the place through which it is held. */
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
 * The closure over places that are not hidden and collections that are not in the bin.
 *
 * One row for each container, thing below it, and direct place of that thing; no two alike.
 */
export function reachOf(containers: readonly Container[]): Reach[] {
  const open = containers.filter(({ isBinned }) => !isBinned)
  const places = new Map(open.map((one) => [one.id, edgesOf([one]).filter((edge) => !edge.isHidden)]))
  return open.flatMap(({ id }) =>
    below(id, places).map(({ thingId, itemId }) => ({ containerId: id, thingId, itemId })),
  )
}

/** Whether putting one collection into another would make a collection hold itself, hidden places counted. */
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
