// What is fetched when it is first opened.

export const loadCollectionScreen = async () => (await import('./CollectionScreen.tsx')).CollectionScreen

export const loadCollectionsScreen = async () => (await import('./CollectionsScreen.tsx')).CollectionsScreen
