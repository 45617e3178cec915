// What a draft shows in this window: what the server sent, and new pieces from loaded evidence.
import type { EvidenceRow } from '@valise/core/evidence'
import type { PageView, Shown, ShownEvidence } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { fileAddress, renditionAddress } from './addresses.ts'

/** Returns the facts of an item until the server sends them; its credit comes with the next answer. */
export function toShownEvidence({ id, kind, title, version, rightsState }: EvidenceRow): ShownEvidence {
  return {
    id,
    n: version.n,
    kind,
    title,
    fileName: version.fileName,
    mime: version.mime,
    bytes: version.bytes,
    width: version.width,
    height: version.height,
    hasPicture: version.preview === 'there',
    credit: null,
    rightsDeclared: rightsState !== 'missing',
  }
}

/** Renders for the author: renditions and files come from the items themselves. */
export function draftView(lang: PageDocument['lang'], shown: Shown): PageView {
  return {
    shown,
    lang,
    address: (_, { what, item: { id, n, look: renderRevision = 0 } }) =>
      what === 'screen'
        ? renditionAddress({ id, version: { n, renderRevision } }, 'screen')
        : fileAddress(id, n),
  }
}
