// What is fetched when it is first opened.

export const loadClassScreen = async () => (await import('./ClassScreen.tsx')).ClassScreen

export const loadClassesScreen = async () => (await import('./ClassesScreen.tsx')).ClassesScreen
