// The ways in, in the order in which they are offered.
import type { WayWithDialog } from './gathering.ts'

export type Way = WayWithDialog | 'files' | 'folder'

export const allWays = [
  ...['photo', 'film', 'voice', 'files', 'folder'],
  ...['note', 'collage', 'link', 'drive', 'shelf', 'phone'],
] as readonly Way[]
