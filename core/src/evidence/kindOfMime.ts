// What sort of thing a file is, from the media type that its content showed.
import type { EvidenceKind } from './valueLists.ts'

/** A link is kept as a list of one address (RFC 2483), a format that others can read. */
export const LINK_MIME = 'text/uri-list'

const WORD_DOCUMENT = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'

/** Pictures that the server can open; others are kept and handed out as they came. */
const openedPictures = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/tiff', 'image/avif']

/** A drawing in SVG can run scripts, so it is a file like any other. */
export function kindOfMime(mime: string): EvidenceKind {
  if (mime === LINK_MIME) return 'link'
  if (mime === 'image/svg+xml') return 'file'
  if (mime.startsWith('image/')) return 'picture'
  if (mime.startsWith('video/')) return 'video'
  if (mime.startsWith('audio/')) return 'audio'
  return mime === 'text/csv' || mime === 'text/tab-separated-values' ? 'data-table' : 'file'
}

/** Whether an item stands as a picture wherever it is shown: a collage is one that is made of others. */
export function isShownAsPicture(kind: string): boolean {
  return kind === 'picture' || kind === 'collage'
}

/** Whether renditions can be made of a file of this type. */
export function canBeRendered(mime: string): boolean {
  return openedPictures.includes(mime)
}

/** Whether a browser may show the file in its place; everything else is only ever downloaded. */
export function mayStandInline(mime: string): boolean {
  return canBeRendered(mime) || mime.startsWith('video/') || mime.startsWith('audio/')
}

/** How the words inside a file can be read, or null where nobody looks for any. */
export function readerOf(mime: string): 'pdf' | 'word' | 'table' | 'text' | null {
  if (mime === 'application/pdf') return 'pdf'
  if (mime === WORD_DOCUMENT) return 'word'
  if (mime === 'text/csv' || mime === 'text/tab-separated-values') return 'table'
  if (mime === LINK_MIME) return null
  return mime.startsWith('text/') || mime === 'application/json' || mime === 'application/xml' ? 'text' : null
}
