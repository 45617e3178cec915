// Comparing two states of a page beside the requests, once for each pair.
import { createHash } from 'node:crypto'
import type { PageChange, ShownDocument } from '@valise/core/pages'
import type { Turn, Workers } from '../jobs/index.ts'
import type { PageTasks } from './tasks.ts'

const MOST_REMEMBERED = 200

/** By the content of both; the oldest are forgotten. Each server has its own, which only saves work. */
const compared = new Map<string, Promise<PageChange[]>>()

/** Computes the changes between two states of a page; the result of the same pair is cached. */
export function comparePages(
  workers: Workers<PageTasks>,
  turn: Turn,
  before: ShownDocument | null,
  after: ShownDocument,
): Promise<PageChange[]> {
  const pair = { before: before && contentOf(before), after: contentOf(after) }
  const key = createHash('sha256').update(JSON.stringify(pair)).digest('base64url')
  const known = compared.get(key)
  if (known) return known
  const asked = workers.run('compare', pair, turn).then(({ changes }) => changes)
  compared.set(key, asked)
  // What failed is asked for anew.
  asked.catch(() => compared.delete(key))
  const [oldest] = compared.keys()
  if (compared.size > MOST_REMEMBERED && oldest !== undefined) compared.delete(oldest)
  return asked
}

function contentOf({ document, shown }: ShownDocument): ShownDocument {
  return { document, shown }
}
