// What a draft shows, as this window knows it: what the server told, and what was just put in from evidence at hand.
import type { EvidenceRow } from '@valise/core/evidence'
import type { PageView, Shown, ShownEvidence } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { fileAddress, renditionAddress } from '../evidence/addresses.ts'

/** The facts of an item until the server tells them; its credit comes with the next answer. */
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

/** For the author's eyes: renditions and files come from the items themselves. */
export function draftView(lang: PageDocument['lang'], shown: Shown): PageView {
  return {
    shown,
    lang,
    address: (_, { id, n, look: renderRevision = 0 }, what) =>
      what === 'screen'
        ? renditionAddress({ id, version: { n, renderRevision } }, 'screen')
        : fileAddress(id, n),
    voiceAddress: (_, { id, n }) => fileAddress(id, n),
  }
}
