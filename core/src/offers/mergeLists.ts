// Two windows wrote one list of named parts: what each changed is kept, part by part.
import { isSame } from '../json/index.ts'

interface Named {
  readonly id: string
}

/**
 * Merges a list of this window with one that another window saved. Where both changed the same part, mine stands, as it
 * does for all that its writer sees before the eyes; a part that one side removed and the other changed stays.
 *
 * @param base what both windows started from
 * @param mergePart merges a part that both changed, where it has parts of its own; without it, mine stands
 */
export function mergeLists<T extends Named>(
  base: readonly T[],
  mine: readonly T[],
  theirs: readonly T[],
  mergePart: (base: T, mine: T, theirs: T) => T = (_, own) => own,
): T[] {
  const before = byId(base)
  const here = byId(mine)
  const there = byId(theirs)
  const isChanged = (part: T) => !isSame(before.get(part.id), part)
  const stays = (part: T) => {
    const other = here.has(part.id) ? there : here
    return other.has(part.id) || isChanged(part)
  }
  const merged = (part: T) => {
    const own = here.get(part.id)
    const other = there.get(part.id)
    if (!own || !isChanged(own)) return other ?? own ?? part
    const first = before.get(part.id)
    return first && other && isChanged(other) ? mergePart(first, own, other) : own
  }
  // The order is mine where I changed it; what only the other side has goes after what stands before it there.
  const isMyOrder = !isSame(ids(mine), ids(base))
  const [first, second] = isMyOrder ? [mine, theirs] : [theirs, mine]
  const order = [...first]
  for (const [n, part] of second.entries()) {
    if (order.some(({ id }) => id === part.id)) continue
    const ahead = second.slice(0, n).findLast(({ id }) => order.some((one) => one.id === id))
    order.splice(ahead ? order.findIndex(({ id }) => id === ahead.id) + 1 : 0, 0, part)
  }
  return order.filter(stays).map(merged)
}

function byId<T extends Named>(parts: readonly T[]): Map<string, T> {
  return new Map(parts.map((part) => [part.id, part]))
}

function ids(parts: readonly Named[]): string[] {
  return parts.map(({ id }) => id)
}
