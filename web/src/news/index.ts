// News: what others did that concerns one.
export { NewsButton } from './NewsButton.tsx'
export { NewsList } from './NewsList.tsx'
export { newsQueries } from './queries.ts'
