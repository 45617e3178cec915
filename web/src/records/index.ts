// Records: who did what, when.
export { loadRecordsScreen } from './loaders.ts'
