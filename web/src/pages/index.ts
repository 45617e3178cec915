// Pages: the editor, its list, and what it offers to others.
export { ChangeList } from './ChangeList.tsx'
export { PageScreen } from './PageScreen.tsx'
export { WhereYouStopped } from './WhereYouStopped.tsx'
export { pageQueries } from './queries.ts'
export { loadPagesScreen } from './loaders.ts'
