// In which order others read a collection: its lines without what they cannot see, and the way from page to page.
import { thingDefinitionOf } from '../things/index.ts'
import type { SharedKind } from '../things/index.ts'
import type { CollectionItem, OutlineLine } from './schema.ts'

/** A collection, reduced to what `readingOrder` needs; things without a title here are invisible to others. */
export interface ReadableCollection {
  readonly id: string
  readonly items: readonly CollectionItem[]
}

/** A thing as others see it in a list. */
export interface ReadableThing {
  readonly kind: SharedKind
  readonly title: string
}

/**
 * Returns the lines that others read, in order.
 *
 * @param seen everything that may be seen, by id: what is published, and nothing that lies in the bin
 * @returns the lines without hidden items, and without dividers and nested collections that contain nothing to read
 */
export function readingOrder(
  id: string,
  collections: ReadonlyMap<string, ReadableCollection>,
  seen: ReadonlyMap<string, ReadableThing>,
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
    const found = linesOf(item.thingId, collections, seen, depth)
    if (found.length === 0) continue
    if (divider) lines.push(divider)
    divider = null
    lines.push(...found)
  }
  return lines
}

/** Returns what is read, in reading order; a page with two places stands at the first one. */
export function pagesToRead(lines: readonly OutlineLine[]): OutlineLine[] {
  const pages = lines.filter(isRead)
  return pages.filter(({ id }, at) => pages.findIndex((page) => page.id === id) === at)
}

function linesOf(
  id: string,
  collections: ReadonlyMap<string, ReadableCollection>,
  seen: ReadonlyMap<string, ReadableThing>,
  depth: number,
): OutlineLine[] {
  const thing = seen.get(id)
  if (!thing) return []
  const line = { id, ...thing, depth }
  if (isRead(line)) return [line]
  const within = readingOrder(id, collections, seen, depth + 1)
  return within.some(isRead) ? [line, ...within] : []
}

/** Whether a line is something to read, and not a heading or a collection of such things. */
function isRead({ kind }: OutlineLine): boolean {
  return kind !== 'divider' && !thingDefinitionOf(kind).isContainer
}
