// The answers of a piece that shows one item: a kind adds what it hands out of it, and how it looks.
import type { CreditLine } from '../../evidence/index.ts'
import type { Shown, ShownEvidence } from '../schema.ts'
import type { ContentSort } from '../valueLists.ts'
import type { HandOut, PieceDefinition, PlayedRecording } from './PieceDefinition.ts'
import { withoutThings } from './withoutThings.ts'

export interface ItemPiece {
  readonly id: string
  readonly evidenceId: string
  readonly version: 'follow' | number
  readonly caption: string
}

export const showsItem = {
  ...withoutThings,
  references: ({ id: key, evidenceId: id, version }) => [{ thing: 'evidence', key, id, version }],
  plainText: ({ caption }) => caption,
  name: (piece, shown) => itemOf(piece, shown)?.title ?? '',
  untranscribed: (piece, shown) => untranscribedIn(itemOf(piece, shown)),
  sorts: (piece, shown) => sortsOf(itemOf(piece, shown)),
  credits: (piece, shown) => creditsOfItem(itemOf(piece, shown)),
} satisfies Omit<PieceDefinition<ItemPiece>, 'render'>

export function itemOf({ id }: Pick<ItemPiece, 'id'>, { evidence }: Shown): ShownEvidence | undefined {
  return evidence[id]
}

/** Returns whether an item plays inline, which hands its file to everyone who sees the page. */
export function isPlayed({ mime }: Pick<ShownEvidence, 'mime'>): boolean {
  return mime.startsWith('video/') || mime.startsWith('audio/')
}

/** The recordings that speak of an item are heard wherever it is shown. */
export function voicesOf({ voices = [] }: ShownEvidence): HandOut[] {
  return voices.map((voice) => ({ name: `voice-${voice.id}`, what: 'file', item: voice, isMade: true }))
}

function untranscribedIn(item: ShownEvidence | undefined): PlayedRecording[] {
  if (!item) return []
  const recordings = [
    ...(isPlayed(item) ? [item] : []),
    ...(item.voices ?? []).map((voice) => ({ ...voice, title: voice.fileName })),
  ]
  const owing = recordings.filter(({ transcript = '' }) => transcript.trim() === '')
  return owing.map(({ id, title, fileName }) => ({ id, title: title || fileName }))
}

function sortsOf(item: ShownEvidence | undefined): ContentSort[] {
  // A note stands on a page as its words, and nobody asks for a link.
  if (item === undefined || item.kind === 'link') return []
  return [item.kind === 'note' ? 'text' : item.kind === 'collage' ? 'picture' : item.kind]
}

function creditsOfItem({ credit = null, creditsWithin = [] }: Partial<ShownEvidence> = {}): CreditLine[] {
  return [...(credit ? [credit] : []), ...creditsWithin]
}
