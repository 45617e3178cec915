// What sort of thing a file is, from the media type that its content showed.
import type { EvidenceKind } from './valueLists.ts'

/** Pictures that the server can open; others are kept and handed out as they came. */
const openedPictures = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/tiff', 'image/avif']

/** A drawing in SVG can run scripts, so it is a file like any other. */
export function kindOfMime(mime: string): EvidenceKind {
  if (mime === 'image/svg+xml') return 'file'
  if (mime.startsWith('image/')) return 'picture'
  if (mime.startsWith('video/')) return 'video'
  if (mime.startsWith('audio/')) return 'audio'
  return mime === 'text/csv' || mime === 'text/tab-separated-values' ? 'data-table' : 'file'
}

/** Whether renditions can be made of a file of this type. */
export function canBeRendered(mime: string): boolean {
  return openedPictures.includes(mime)
}

/** Whether a browser may show the file in its place; everything else is only ever downloaded. */
export function mayStandInline(mime: string): boolean {
  return canBeRendered(mime) || mime.startsWith('video/') || mime.startsWith('audio/')
}
