// What is fetched when it is first opened.

export const loadUploadList = async () => (await import('./UploadList.tsx')).UploadList
