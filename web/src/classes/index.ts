// Classes and who is in them.
export { classQueries } from './queries.ts'
export { loadClassScreen, loadClassesScreen } from './loaders.ts'
