// Drafts: the machinery under pages and entries, which keeps every edit and joins those of several windows.
export { draftRoutes, saveEdit } from './draftRoom.ts'
export type { DraftRoom } from './draftRoom.ts'
export { createDraft } from './editDraft.ts'
export { getPresentDraft, listDraftsAt, listPresentDrafts } from './presentDraft.ts'
export { getDraft, listDrafts } from './readDraft.ts'
export { hasDraft } from './store.ts'
export { resolveShown, resolveShownMany } from './resolveShown.ts'
