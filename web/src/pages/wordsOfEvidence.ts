// Evidence that stands on a page as its words: a note with its text, a link with its title and where it leads.
import type { QueryClient } from '@tanstack/react-query'
import type { EvidenceRow } from '@valise/core/evidence'
import { newEvidencePiece, newTextPiece, textOf } from '@valise/core/pages'
import type { Piece, PieceKind, RichText } from '@valise/core/pages'
import { evidenceQueries } from '../evidence/base/index.ts'
import { noteQueries } from '../notes/index.ts'

interface NewPieces {
  readonly newId: () => string
  /** As wide as usual where it is left out. */
  readonly span?: number | undefined
  /** The first that shows such an item where it is left out. */
  readonly kind?: PieceKind | undefined
}

export interface PlacedItem {
  readonly item: EvidenceRow
  readonly piece: Piece
}

/** Makes the piece for each item, in order; the words of notes and links are fetched first. */
export function toPieces(
  client: QueryClient,
  items: readonly EvidenceRow[],
  { newId, span, kind }: NewPieces,
): Promise<PlacedItem[]> {
  return Promise.all(
    items.map(async (item) => {
      const words = standsAsWords(item) ? await wordsOf(client, item) : null
      return {
        item,
        piece: words ? newTextPiece(newId(), words, span) : newEvidencePiece(newId(), item, span, kind),
      }
    }),
  )
}

export function standsAsWords({ kind }: Pick<EvidenceRow, 'kind'>): boolean {
  return kind === 'note' || kind === 'link'
}

async function wordsOf(client: QueryClient, { id, kind, title }: EvidenceRow): Promise<RichText | null> {
  if (kind === 'note') return (await client.fetchQuery(noteQueries.one(id))).text
  const { link } = await client.fetchQuery(evidenceQueries.one(id))
  if (!link) return null
  const { address, description } = link
  const named = {
    type: 'text',
    text: title || address,
    marks: [{ type: 'link' as const, attrs: { href: address } }],
  }
  const about = description === '' ? [] : textOf(description).content
  return { type: 'doc', content: [{ type: 'paragraph', content: [named] }, ...about] }
}
