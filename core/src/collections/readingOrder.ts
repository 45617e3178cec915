// In which order others read a collection: its lines without what they cannot see, and the way from page to page.
import type { CollectionItem, OutlineLine } from './schema.ts'

/** A collection, reduced to what `readingOrder` needs; things without a title here are invisible to others. */
export interface ReadableCollection {
  readonly id: string
  readonly items: readonly CollectionItem[]
}

/**
 * Returns the lines that others read, in order.
 *
 * @param titles titles of everything that may be seen: published pages and collections that are not in the bin
 * @returns the lines without hidden items, and without dividers and nested collections that contain nothing to read
 */
export function readingOrder(
  id: string,
  collections: ReadonlyMap<string, ReadableCollection>,
  titles: ReadonlyMap<string, string>,
  depth = 0,
): OutlineLine[] {
  const lines: OutlineLine[] = []
  let divider: OutlineLine | null = null
  for (const item of collections.get(id)?.items ?? []) {
    if (item.isHidden) {
      // A hidden heading no longer stands over what follows it, and neither does the one before it.
      if (item.kind === 'divider') divider = null
      continue
    }
    if (item.kind === 'divider') {
      divider = { kind: 'divider', id: item.id, title: item.title, depth }
      continue
    }
    const found = linesOf(item, collections, titles, depth)
    if (found.length === 0) continue
    if (divider) lines.push(divider)
    divider = null
    lines.push(...found)
  }
  return lines
}

/** Returns the pages in reading order; a page with two places stands at the first one. */
export function pagesToRead(lines: readonly OutlineLine[]): OutlineLine[] {
  const pages = lines.filter(({ kind }) => kind === 'page')
  return pages.filter(({ id }, at) => pages.findIndex((page) => page.id === id) === at)
}

function linesOf(
  item: Exclude<CollectionItem, { kind: 'divider' }>,
  collections: ReadonlyMap<string, ReadableCollection>,
  titles: ReadonlyMap<string, string>,
  depth: number,
): OutlineLine[] {
  const id = item.kind === 'page' ? item.pageId : item.collectionId
  const title = titles.get(id)
  if (title === undefined) return []
  const line = { kind: item.kind, id, title, depth }
  if (item.kind === 'page') return [line]
  const within = readingOrder(id, collections, titles, depth + 1)
  return within.some(({ kind }) => kind === 'page') ? [line, ...within] : []
}
