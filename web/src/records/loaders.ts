// What is fetched when it is first opened.

export const loadRecordsScreen = async () => (await import('./RecordsScreen.tsx')).RecordsScreen
