// A collection as others read it: its lines in order, with nothing that is hidden or not published.
import type { ReadCollection, Viewer } from '@valise/core/access'
import { readingOrder } from '@valise/core/collections'
import type { ReadableThing } from '@valise/core/collections'
import { accessScope, getReaderFacts, listReadable, refusalFor } from '../access/index.ts'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { listContainers } from './reachStore.ts'

/**
 * Reads a collection for a viewer. @throws AppError `not-found` without access, as for a missing one; see
 * `refusalFor`
 */
export async function readCollection(reader: Reader, viewer: Viewer, id: string): Promise<ReadCollection> {
  const seen: { id: string; title: string; ownerId: string } | undefined = await reader
    .sql('things')
    .where({ 'things.id': id, 'things.kind': 'collection', 'things.isBinned': 0 })
    .modify(accessScope(reader, viewer))
    .first('id', 'title', 'ownerId')
  if (!seen) throw await refusalFor(reader, viewer, id)
  const containers = await listContainers(reader, seen.ownerId)
  const lines = readingOrder(
    id,
    new Map(containers.filter(({ isBinned }) => !isBinned).map((one) => [one.id, one])),
    await listReadableBelow(reader, id),
  )
  return { id, title: seen.title, ...(await getReaderFacts(reader, viewer, seen)), lines }
}

/** What a collection reaches that can be read, with the titles that others see. */
async function listReadableBelow(
  reader: Reader,
  containerId: string,
): Promise<ReadonlyMap<string, ReadableThing>> {
  // In two steps, so that no database thinks of walking through all things instead.
  const below = await reader.sql('reach').where({ containerId }).distinct().pluck<string[]>('thingId')
  const rows = await listReadable(reader, (things, column) => isOneOf(things, column, below))
  return new Map(rows.map(({ id, kind, title }) => [id, { kind, title }]))
}
