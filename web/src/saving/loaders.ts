// What is fetched when it is first opened.

export const loadDeliverLeftBehind = async () => (await import('./draftWindows.ts')).deliverLeftBehind
