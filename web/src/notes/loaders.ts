// What is fetched when it is first opened.

export const loadNotePreview = async () => (await import('./NotePreview.tsx')).NotePreview
