// What is fetched when it is first opened.

export const loadAttributeSetsScreen = async () =>
  (await import('./AttributeSetsScreen.tsx')).AttributeSetsScreen

export const loadAttributeSetScreen = async () =>
  (await import('./AttributeSetScreen.tsx')).AttributeSetScreen
