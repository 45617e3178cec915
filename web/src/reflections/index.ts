// Logbooks and their entries.
export { EntryChooser } from './EntryChooser.tsx'
export { loadEntryChooser, loadEntryScreen, loadLogbookScreen, loadLogbooksScreen } from './loaders.ts'
