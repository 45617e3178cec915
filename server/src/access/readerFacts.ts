// What a reader sees beside the thing itself: whose it is, and by which link it was opened.
import type { ReadPage, Viewer } from '@valise/core/access'
import type { Reader } from '../database/index.ts'
import { listShownNames } from '../people/index.ts'
import { listLinksTo } from './passStore.ts'

export type ReaderFacts = Pick<ReadPage, 'ownerName' | 'isMine' | 'linkName'>

export async function getReaderFacts(
  reader: Reader,
  viewer: Viewer,
  thing: { readonly id: string; readonly ownerId: string },
): Promise<ReaderFacts> {
  const names = await listShownNames(reader, [thing.ownerId])
  const links = viewer.kind === 'visitor' ? await listLinksTo(reader, viewer.links, thing.id) : []
  return {
    ownerName: names.get(thing.ownerId) ?? '',
    isMine: viewer.kind === 'person' && viewer.personId === thing.ownerId,
    linkName: links[0]?.linkName ?? null,
  }
}
