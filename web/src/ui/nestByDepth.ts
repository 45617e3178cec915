// A flat list with depths as the tree that it stands for.

export interface Nested<T> {
  readonly item: T
  readonly within: readonly Nested<T>[]
}

/**
 * Nests a flat list: each item contains those that follow it and are deeper.
 *
 * @param depthOf 0 for the top level; an item may be deeper than the one before it by any number
 */
export function nestByDepth<T>(items: readonly T[], depthOf: (item: T) => number): Nested<T>[] {
  const nested: Nested<T>[] = []
  for (let at = 0; at < items.length;) {
    const item = items[at] as T // at is within the list
    let end = at + 1
    while (end < items.length && depthOf(items[end] as T) > depthOf(item)) end += 1
    nested.push({ item, within: nestByDepth(items.slice(at + 1, end), depthOf) })
    at = end
  }
  return nested
}
