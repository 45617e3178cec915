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

/**
 * Makes the piece that shows an item: a picture piece for pictures, otherwise a file piece. It follows the newest
 * version.
 */
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

/** Returns whether a picture has no alternative text: neither its piece nor, where known, its item. */
export function lacksAlternative(piece: Piece, shown: Shown = nothingShown): boolean {
  if (piece.kind !== 'picture' || piece.isDecoration) return false
  return (piece.alternativeText || shown.evidence[piece.id]?.alternativeText || '').trim() === ''
}

/** A recording that readers can play. */
export interface PlayedRecording {
  readonly id: string
  readonly title: string
}

/** Returns the recordings in a document that have no transcript, without duplicates. */
export function listUntranscribed(document: PageDocument, shown: Shown): PlayedRecording[] {
  const items = placedPieces(document).flatMap(({ piece }) => shown.evidence[piece.id] ?? [])
  const recordings = items.flatMap((item) => [
    ...(isPlayed(item) ? [item] : []),
    ...(item.voices ?? []).map((voice) => ({ ...voice, title: voice.fileName })),
  ])
  const owing = recordings.filter(({ transcript = '' }) => transcript.trim() === '')
  return [...new Map(owing.map(({ id, title, fileName }) => [id, { id, title: title || fileName }])).values()]
}
