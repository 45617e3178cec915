// What is typed, until it is on the server: operations of drafts, whole documents, unsent input, the store on the device, the save status.
export type { DraftSync } from './DraftSync.ts'
export { OtherVersions } from './OtherVersions.tsx'
export { RefusedEdit } from './RefusedEdit.tsx'
export { deviceStoreOf } from './deviceStore.ts'
export { queryClient } from './queryClient.ts'
export {
  clearUnsaved,
  getSaveStatus,
  noteRefused,
  noteSaved,
  noteSaving,
  noteUnsaved,
  useSaveStatus,
} from './saveStatus.ts'
export type { SaveStatus } from './saveStatus.ts'
export { unsentInWindow, writeUnsent } from './unsentStore.ts'
export { useDraft } from './useDraft.ts'
export { useFreshDraft } from './useFreshDraft.ts'
export type { OpenDraft } from './useDraft.ts'
export { useDocument } from './useDocument.ts'
export type { OpenDocument } from './useDocument.ts'
export type { DocumentStore, SavedOnServer } from './DocumentSync.ts'
export { useUnsent, useUnsentPlaces } from './useUnsent.ts'
export type { Unsent } from './useUnsent.ts'
export { deliverWhatWasLeft } from './loaders.ts'
