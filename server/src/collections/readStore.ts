// A collection as others read it: its lines in order, with nothing that is hidden or not published.
import type { ReadCollection, Viewer } from '@valise/core/access'
import { readingOrder } from '@valise/core/collections'
import { accessScope, getReaderFacts, refusalFor } from '../access/index.ts'
import type { Reader } from '../database/index.ts'
import { listContainers } from './reachStore.ts'

/**
 * Reads a collection for a viewer. @throws AppError `not-found` without access, as for a missing one; see
 * `refusalFor`
 */
export async function readCollection(reader: Reader, viewer: Viewer, id: string): Promise<ReadCollection> {
  const seen: { id: string; title: string; ownerId: string } | undefined = await reader
    .sql('collections')
    .where('collections.id', id)
    .whereNull('collections.binnedAt')
    .modify(accessScope(reader, viewer, 'collections'))
    .first('id', 'title', 'ownerId')
  if (!seen) throw await refusalFor(reader, viewer, id)
  const containers = await listContainers(reader, seen.ownerId)
  const lines = readingOrder(
    id,
    new Map(containers.filter(({ isBinned }) => !isBinned).map((one) => [one.id, one])),
    await listReadableTitles(reader, id),
  )
  return { id, title: seen.title, ...(await getReaderFacts(reader, viewer, seen)), lines }
}

/** What a collection reaches that can be read, with the titles that others see. */
async function listReadableTitles(reader: Reader, containerId: string): Promise<Map<string, string>> {
  const { sql } = reader
  const below = sql('reach').where({ containerId }).select('thingId')
  const pages: { id: string; title: string }[] = await sql('pages')
    .join('publishedPages', (join) =>
      join.on('publishedPages.pageId', 'pages.id').andOn('publishedPages.n', 'pages.published'),
    )
    .whereIn('pages.id', below.clone())
    .whereNull('pages.binnedAt')
    .select('pages.id', 'publishedPages.title')
  const collections: { id: string; title: string }[] = await sql('collections')
    .whereIn('id', below.clone())
    .whereNull('binnedAt')
    .select('id', 'title')
  return new Map([...pages, ...collections].map(({ id, title }) => [id, title]))
}
