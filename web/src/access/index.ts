// Passes and links, what others see, and reading as they do.
export { PaperToRead } from './PaperToRead.tsx'
export { ReadCollection } from './ReadCollection.tsx'
export { ReadPage } from './ReadPage.tsx'
export { ReadingList } from './ReadingList.tsx'
export { accessQueries } from './queries.ts'
export { useSeers } from './useSeers.ts'
export { loadNoSuchLink, loadSharedWithMeScreen, loadSharingScreen, loadVisitorScreen } from './loaders.ts'
