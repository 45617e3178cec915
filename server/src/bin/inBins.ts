// The list of the kinds of things, with what the bin asks the room of each.
import type { ThingKind } from '@valise/core/things'
import { attributeSetInBin } from '../attributes/index.ts'
import { collectionInBin } from '../collections/index.ts'
import { evidenceInBin } from '../evidence/index.ts'
import { guideCopyInBin, guideInBin } from '../guides/index.ts'
import { pageInBin } from '../pages/index.ts'
import { entryInBin, logbookInBin } from '../reflections/index.ts'
import { sheetInBin } from '../sheets/index.ts'
import type { InBin, ThingRow } from '../things/index.ts'

const inBins = {
  page: pageInBin,
  collection: collectionInBin,
  logbook: logbookInBin,
  entry: entryInBin,
  evidence: evidenceInBin,
  sheet: sheetInBin,
  attributeSet: attributeSetInBin,
  guide: guideInBin,
  guideCopy: guideCopyInBin,
} satisfies Record<ThingKind, InBin>

export function inBinOf({ kind }: Pick<ThingRow, 'kind'>): InBin {
  return inBins[kind]
}

/** Things by their kinds, each with what the bin asks of it. */
export function byKind(things: readonly ThingRow[]): { readonly inBin: InBin; readonly some: ThingRow[] }[] {
  const kinds = [...new Set(things.map(({ kind }) => kind))]
  return kinds.map((kind) => ({ inBin: inBins[kind], some: things.filter((one) => one.kind === kind) }))
}
