// What is fetched when it is first opened.

export const loadGrowScreen = async () => (await import('./GrowScreen.tsx')).GrowScreen
