// What is fetched when it is first opened.

export const loadPagesScreen = async () => (await import('./PagesScreen.tsx')).PagesScreen
