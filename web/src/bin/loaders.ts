// What is fetched when it is first opened.

export const loadBinScreen = async () => (await import('./BinScreen.tsx')).BinScreen
