// What is fetched when it is first opened.

export const loadCollageScreen = async () => (await import('./CollageScreen.tsx')).CollageScreen
