// Files: where their bytes lie, and which of them somebody still needs.
export type { ByteRange, FileStore, StoredFile } from './FileStore.ts'
export { openFolderStore } from './folderStore.ts'
export { saveFileRow, removeLooseFiles } from './store.ts'
export { streamOf } from './streamOf.ts'
