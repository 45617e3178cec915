// What is fetched when it is first opened.

export const loadBenchScreen = async () => (await import('./BenchScreen.tsx')).BenchScreen
