// What is fetched when it is first opened.

export const loadCameraScreen = async () => (await import('./CameraScreen.tsx')).CameraScreen
