// What is fetched when it is first opened.

export const loadGuidesScreen = async () => (await import('./GuidesScreen.tsx')).GuidesScreen

export const loadGuideScreen = async () => (await import('./GuideScreen.tsx')).GuideScreen

export const loadFollowScreen = async () => (await import('./FollowScreen.tsx')).FollowScreen

export const loadGuideCopiesScreen = async () => (await import('./GuideCopiesScreen.tsx')).GuideCopiesScreen

export const loadGuideCopyScreen = async () => (await import('./GuideCopyScreen.tsx')).GuideCopyScreen

export const loadGuideReadingScreen = async () =>
  (await import('./GuideReadingScreen.tsx')).GuideReadingScreen

export const loadStageHere = async () => (await import('./StageHere.tsx')).StageHere
