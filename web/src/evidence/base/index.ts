// What all screens of evidence share: queries, addresses, thumbnails, words.
export { PreviewProblem } from './PreviewProblem.tsx'
export { TagInput } from './TagInput.tsx'
export { Thumbnail, ratioOf } from './Thumbnail.tsx'
export { fileAddress, renditionAddress } from './addresses.ts'
export { toPlayTime } from './playTime.ts'
export {
  evidenceQueries,
  findAllIds,
  loadedEvidence,
  useCarryMany,
  useChangeEvidence,
  useCheckAgain,
  useDeclareRights,
  useLetGo,
  useLetQueryGo,
  useRenameTag,
  useRestoreVersion,
  useSaveQuery,
  useTagMany,
  useVoiceOver,
} from './queries.ts'
export { draftView, toShownEvidence } from './shownHere.ts'
export { trayQueries, useCarry } from './trayQueries.ts'
export { useClassInView } from './useClassInView.ts'
export { useEvidenceWords } from './useEvidenceWords.ts'
export type { EvidenceWords } from './useEvidenceWords.ts'
export { useLicenceName } from './useLicenceName.ts'
export { useTagSuggestions } from './useTagSuggestions.ts'
