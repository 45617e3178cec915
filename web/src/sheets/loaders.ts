// What is fetched when it is first opened.

export const loadSheetsScreen = async () => (await import('./SheetsScreen.tsx')).SheetsScreen

export const loadSheetScreen = async () => (await import('./SheetScreen.tsx')).SheetScreen
