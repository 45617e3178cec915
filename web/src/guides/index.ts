// Guides: writing and following them, and working through one's own copy.
export {
  loadFollowScreen,
  loadGuideCopiesScreen,
  loadGuideCopyScreen,
  loadGuideReadingScreen,
  loadGuideScreen,
  loadGuidesScreen,
  loadStageHere,
} from './loaders.ts'
export { useStart, useWriteDueEntry } from './starting.ts'
