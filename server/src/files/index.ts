// Files: where their bytes lie, and which of them somebody still needs.
export type { ByteRange, FileStore, IncomingFiles, StoredFile } from './FileStore.ts'
export { openFolderStore } from './folderStore.ts'
export { keepFileRow, removeLooseFiles } from './store.ts'
export { streamOf } from './streamOf.ts'
