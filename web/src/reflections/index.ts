// Logbooks and their entries.
export { EntryChooser } from './EntryChooser.tsx'
export {
  loadEntryChooser,
  loadEntryScreen,
  loadLogbookScreen,
  loadLogbooksScreen,
  loadNewEntryScreen,
} from './loaders.ts'
