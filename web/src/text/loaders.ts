// What is fetched when it is first opened.

export const loadTextEditor = async () => (await import('./TextEditor.tsx')).TextEditor
