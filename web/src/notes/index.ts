// Notes: evidence that is written here.
export { NewNote } from './NewNote.tsx'
export type { NoteHandle } from './NoteEditor.tsx'
export { loadNotePreview } from './loaders.ts'
export { noteQueries } from './queries.ts'
