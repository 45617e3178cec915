// Drafts: the machinery under pages and entries, which keeps every edit and joins those of several windows.
export { createDraft, editDraft, removeOtherVersion, takeOtherVersion } from './editDraft.ts'
export type { EditOutcome } from './editDraft.ts'
export { getPresentDraft } from './presentDraft.ts'
export { getDraft } from './readDraft.ts'
export { resolveShown } from './resolveShown.ts'
export { deleteDrafts } from './store.ts'
