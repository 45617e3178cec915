// New pieces, and which piece shows which sort of evidence.
import { type EvidenceKind, isShownAsPicture } from '../evidence/index.ts'
import { emptyText } from './richText.ts'
import type { RichText } from './richText.ts'
import { nothingShown, placedPieces } from './parts.ts'
import { isPlayed } from './renderPage.ts'
import type { FilePiece, PageDocument, PicturePiece, Piece, Shown, TextPiece } from './schema.ts'
import { COLUMNS } from './valueLists.ts'

const PICTURE_SPAN = 6

export function newTextPiece(id: string, text: RichText = emptyText, span = COLUMNS): TextPiece {
  return { id, kind: 'text', span, lang: null, text }
}

/** The piece that shows an item: pictures as pictures, all else as a file. It follows the item's newest version. */
export function newEvidencePiece(
  id: string,
  item: { readonly id: string; readonly kind: EvidenceKind; readonly alternativeText?: string },
  span?: number,
): PicturePiece | FilePiece {
  const shared = { id, evidenceId: item.id, version: 'follow' as const, caption: '' }
  return isShownAsPicture(item.kind)
    ? {
        ...shared,
        kind: 'picture',
        span: span ?? PICTURE_SPAN,
        alternativeText: item.alternativeText ?? '',
        isDecoration: false,
      }
    : { ...shared, kind: 'file', span: span ?? PICTURE_SPAN, isOffered: true }
}

export function newEntryPiece(id: string, entryId: string): Piece {
  return { id, kind: 'entry', span: COLUMNS, entryId }
}

export function newLinePiece(id: string): Piece {
  return { id, kind: 'line', span: COLUMNS }
}

/** Whether a picture still owes its readers words: neither the piece nor, where it is known, its item has any. */
export function lacksAlternative(piece: Piece, shown: Shown = nothingShown): boolean {
  if (piece.kind !== 'picture' || piece.isDecoration) return false
  return (piece.alternativeText || shown.evidence[piece.id]?.alternativeText || '').trim() === ''
}

/** A recording that readers can play. */
export interface PlayedRecording {
  readonly id: string
  readonly title: string
}

/** The recordings that a document plays and whose words nobody has written down yet, each once. */
export function listUntranscribed(document: PageDocument, shown: Shown): PlayedRecording[] {
  const items = placedPieces(document).flatMap(({ piece }) => shown.evidence[piece.id] ?? [])
  const recordings = items.flatMap((item) => [
    ...(isPlayed(item) ? [item] : []),
    ...(item.voices ?? []).map((voice) => ({ ...voice, title: voice.fileName })),
  ])
  const owing = recordings.filter(({ transcript = '' }) => transcript.trim() === '')
  return [...new Map(owing.map(({ id, title, fileName }) => [id, { id, title: title || fileName }])).values()]
}
