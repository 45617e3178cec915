// Evidence: what a student keeps, how it comes in and is found again, and the tray.
export {
  enqueuePainting,
  listPicturesOfCollages,
  remakeCollage,
  replaceCollagePictures,
} from './collagePictureStore.ts'
export {
  advanceDriveDocument,
  findConnected,
  findDriveDocument,
  insertDriveDocument,
  updateDriveDocument,
} from './driveStore.ts'
export { evidenceJobs, indexEverything, planSweep } from './evidenceJobs.ts'
export { unexamined } from './examineFile.ts'
export { saveFile } from './saveFile.ts'
export type { FileToSave, SavedFile } from './saveFile.ts'
export { findLanding } from './landingStore.ts'
export type { LandingPlace } from './landingStore.ts'
export { findOwnLink, listOwnLinks, saveLink } from './linkStore.ts'
export { mountPosters } from './posterRoutes.ts'
export { queryRoutes } from './queryRoutes.ts'
export { findItems, listItems } from './queryStore.ts'

export { evidenceRoutes } from './routes.ts'
export { getEvidence, putIntoTray, takeOutOfTray, updateEvidence } from './service.ts'
export { RENDER_COLLAGE } from './jobNames.ts'
export type { BoardPicture } from './paintBoard.ts'
export { deleteEarlierRenders, getRecipe } from './recipeStore.ts'
export { savePoster, showPicture } from './showPicture.ts'
export { findStatement, updateEvidence as writeItem, updateStatement } from './store.ts'
export type { EvidenceServices, UploadSettings } from './services.ts'

export { mountUploads } from './uploadRoutes.ts'
export { assertRoomFor, examine } from './uploadService.ts'
export { evidenceInBin } from './evidenceInBin.ts'
export { isGivenOut } from './givenOut.ts'
export {
  findFileForOthers,
  findSharedRendition,
  renditionName,
  findVersion,
  findVersionOf,
  insertVersion,
  replaceContent,
  saveRender,
  saveShownSize,
  setPreview,
} from './versionStore.ts'
export { indexWords } from './wordsStore.ts'
