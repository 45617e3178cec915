// The chains of collections above a thing, over which a pass on one of them may come down to it.
import type { Edge } from '../collections/index.ts'
import type { AccessThing } from './world.ts'

/** A path of collections, from the outermost one down to the one that contains the thing. */
export interface Chain {
  readonly path: readonly string[]
  /** Collections on it in which the next one down, or the thing, is hidden. */
  readonly hiddenIn: readonly string[]
  /** Collections on it that lie in the bin. */
  readonly binned: readonly string[]
}

/**
 * Finds the paths to every collection above a thing, one per outermost collection and direct container.
 *
 * Of several paths between the same two ends, the shortest open one is returned; if none is open, the shortest.
 */
export function chainsAbove(
  thingId: string,
  edgesInto: ReadonlyMap<string, readonly Edge[]>,
  things: ReadonlyMap<string, Pick<AccessThing, 'isBinned'>>,
): Chain[] {
  return (edgesInto.get(thingId) ?? []).flatMap((edge) => {
    const first = lengthened({ path: [], hiddenIn: [], binned: [] }, edge, things)
    const all = climb(first, edgesInto, things, () => true)
    const open = isOpen(first) ? climb(first, edgesInto, things, isOpen) : new Map<string, Chain>()
    return [...all].map(([top, chain]) => open.get(top) ?? chain)
  })
}

/** The shortest chain to each top, breadth first, of those that `goes` lets pass. */
function climb(
  first: Chain,
  edgesInto: ReadonlyMap<string, readonly Edge[]>,
  things: ReadonlyMap<string, Pick<AccessThing, 'isBinned'>>,
  goes: (chain: Chain) => boolean,
): Map<string, Chain> {
  const found = new Map([[topOf(first), first]])
  const left = [first]
  for (let chain = left.shift(); chain !== undefined; chain = left.shift()) {
    for (const edge of edgesInto.get(topOf(chain)) ?? []) {
      const next = lengthened(chain, edge, things)
      if (found.has(edge.containerId) || !goes(next)) continue
      found.set(edge.containerId, next)
      left.push(next)
    }
  }
  return found
}

function lengthened(
  { path, hiddenIn, binned }: Chain,
  { containerId, isHidden }: Edge,
  things: ReadonlyMap<string, Pick<AccessThing, 'isBinned'>>,
): Chain {
  return {
    path: [containerId, ...path],
    hiddenIn: isHidden ? [containerId, ...hiddenIn] : hiddenIn,
    binned: things.get(containerId)?.isBinned === false ? binned : [containerId, ...binned],
  }
}

const isOpen = ({ hiddenIn, binned }: Chain) => hiddenIn.length + binned.length === 0

const topOf = ({ path }: Chain) => path[0] ?? ''
