// Logbooks and their entries.
export { BesideWords } from './BesideWords.tsx'
export { EntryChooser } from './EntryChooser.tsx'
export { LogbookChooser } from './LogbookChooser.tsx'
export { reflectionQueries } from './queries.ts'
export {
  loadEntryChooser,
  loadEntryScreen,
  loadLogbookScreen,
  loadLogbooksScreen,
  loadNewEntryScreen,
} from './loaders.ts'
