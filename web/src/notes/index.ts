// Notes: evidence that is written here.
export { NoteEditor } from './NoteEditor.tsx'
export type { NoteHandle } from './NoteEditor.tsx'
export { loadNotePreview } from './loaders.ts'
export { noteQueries } from './queries.ts'
