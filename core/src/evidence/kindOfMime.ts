// What sort of thing a file is, from the media type that its content showed.
import type { EvidenceKind } from './valueLists.ts'

/** A link is stored as a list of one address (RFC 2483), which other programs can read. */
export const LINK_MIME = 'text/uri-list'

const WORD_DOCUMENT = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'

/** Pictures that the server can open; others are stored and served unchanged. */
const openedPictures = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/tiff', 'image/avif']

/** Returns the kind of an item by its MIME type. An SVG drawing can run scripts, so it is a plain file. */
export function kindOfMime(mime: string): EvidenceKind {
  if (mime === LINK_MIME) return 'link'
  if (mime === 'image/svg+xml') return 'file'
  if (mime.startsWith('image/')) return 'picture'
  if (mime.startsWith('video/')) return 'video'
  if (mime.startsWith('audio/')) return 'audio'
  return mime === 'text/csv' || mime === 'text/tab-separated-values' ? 'data-table' : 'file'
}

/** Returns whether an item of this kind is shown as a picture; a collage is. */
export function isShownAsPicture(kind: string): boolean {
  return kind === 'picture' || kind === 'collage'
}

/** Returns whether renditions can be made of a file of this type. */
export function canBeRendered(mime: string): boolean {
  return openedPictures.includes(mime)
}

/** Returns whether a browser may show the file inline; every other type is only downloaded. */
export function mayStandInline(mime: string): boolean {
  return canBeRendered(mime) || mime.startsWith('video/') || mime.startsWith('audio/')
}

/** Returns which reader extracts the text of a file of this type, or null for none. */
export function readerOf(mime: string): 'pdf' | 'word' | 'table' | 'text' | null {
  if (mime === 'application/pdf') return 'pdf'
  if (mime === WORD_DOCUMENT) return 'word'
  if (mime === 'text/csv' || mime === 'text/tab-separated-values') return 'table'
  if (mime === LINK_MIME) return null
  return mime.startsWith('text/') || mime === 'application/json' || mime === 'application/xml' ? 'text' : null
}
