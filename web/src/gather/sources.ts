// The ways in, in the order in which they are offered.
import type { SourceWithDialog } from './gathering.ts'

export type Source = SourceWithDialog | 'files' | 'folder'

export const allSources = [
  ...['photo', 'film', 'voice', 'files', 'folder'],
  ...['note', 'collage', 'link', 'drive', 'shelf', 'phone'],
] as readonly Source[]
