// What is fetched when it is first opened.

export const loadNoSuchLink = async () => (await import('./NoSuchLink.tsx')).NoSuchLink

export const loadSharedWithMeScreen = async () =>
  (await import('./SharedWithMeScreen.tsx')).SharedWithMeScreen

export const loadSharingScreen = async () => (await import('./SharingScreen.tsx')).SharingScreen

export const loadVisitorScreen = async () => (await import('./VisitorScreen.tsx')).VisitorScreen
