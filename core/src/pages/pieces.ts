// New pieces, and which piece shows which sort of evidence.
import { type EvidenceKind, isShownAsPicture } from '../evidence/index.ts'
import { emptyText } from './richText.ts'
import type { RichText } from './richText.ts'
import type { FilePiece, PicturePiece, Piece, TextPiece } from './schema.ts'
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

/** Whether a picture still owes its readers words. */
export function lacksAlternative(piece: Piece): boolean {
  return piece.kind === 'picture' && !piece.isDecoration && piece.alternativeText.trim() === ''
}
