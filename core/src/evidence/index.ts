// Evidence: what a student keeps to show learning, with its versions, rights and tags.
export { decideNewVersion, decideUpload } from './decideUpload.ts'

export {
  everything,
  isEverything,
  queryNames,
  readEvidenceQuery,
  toSearchWords,
  writeEvidenceQuery,
} from './evidenceQuery.ts'
export type { EvidenceQuery } from './evidenceQuery.ts'
export { extensionOf } from './extensionOf.ts'
export { sizeInWords } from './sizeInWords.ts'
export { cleanFileName, suggestTitle } from './fileName.ts'
export {
  canBeRendered,
  isShownAsPicture,
  kindOfMime,
  LINK_MIME,
  mayStandInline,
  readerOf,
} from './kindOfMime.ts'
export { creditLine } from './rights.ts'
export {
  type CollagePicture,
  creditLineSchema,
  dataTableSchema,
  evidenceChangeSchema,
  evidenceCountsSchema,
  evidencePageSchema,
  evidenceRowSchema,
  evidenceSchema,
  foundIdsSchema,
  insideSchema,
  manySchema,
  newSavedQuerySchema,
  renamedTagSchema,
  rightsForManySchema,
  savedQueriesSchema,
  savedQuerySchema,
  tagsForManySchema,
  tagsInUseSchema,
  traySchema,
  uploadMetadataSchema,
  uploadSchema,
  uploadsSchema,
} from './schema.ts'
export type {
  CreditLine,
  DataTable,
  DocumentBlock,
  DriveState,
  Evidence,
  EvidenceChange,
  EvidenceCounts,
  EvidencePage,
  EvidenceRow,
  EvidenceVersion,
  Inside,
  Link,
  NewSavedQuery,
  RenamedTag,
  Rights,
  RightsForMany,
  SavedQuery,
  TagsForMany,
  TagsInUse,
  Tray,
  Upload,
  UploadMetadata,
  Uploads,
} from './schema.ts'
export { cleanTags, toTagKey } from './tags.ts'
export { tallyCounts, tallyWeeks } from './tallyCounts.ts'
export type { LikeItems } from './tallyCounts.ts'
export {
  evidenceKinds,
  evidenceMarks,
  evidenceOrders,
  licenceIds,
  licences,
  LONGEST_ALTERNATIVE_TEXT,
  LONGEST_CAPTION,
  LONGEST_INSIDE,
  MOST_BLOCKS_INSIDE,
  LONGEST_QUERY_NAME,
  LATEST_MOMENT_MS,
  LONGEST_MOMENT,
  LONGEST_TAG,
  LONGEST_TITLE,
  LONGEST_TRANSCRIPT,
  MOST_AT_ONCE,
  MOST_CHOSEN,
  MOST_IN_TRAY,
  MOST_PIXELS,
  MOST_SAVED_QUERIES,
  MOST_MOMENTS,
  MOST_TAGS,
  PHONE_LINK_MINUTES,
  previewProblems,
  renditionKinds,
  UPLOAD_RESUMABLE_HOURS,
} from './valueLists.ts'
export type {
  EvidenceKind,
  EvidenceMark,
  EvidenceOrder,
  LicenceId,
  PreviewProblem,
  PreviewState,
  RenditionKind,
  TextState,
} from './valueLists.ts'
export {
  driveDocumentSchema,
  driveFolderSchema,
  fromDriveSchema,
  fromShelfSchema,
  landingSchema,
  previewedLinkSchema,
  newLinkSchema,
  outsideIdSchema,
  phoneLinkSchema,
  phoneStateSchema,
  shelfPageSchema,
  shelfPictureSchema,
  shelfReportSchema,
  sourcesSchema,
} from './outsideSchema.ts'
export type {
  DriveDocument,
  DriveFolder,
  FromDrive,
  FromShelf,
  Landing,
  LentCamera,
  PreviewedLink,
  NewLink,
  PhoneLink,
  PhoneState,
  ShelfPage,
  ShelfPicture,
  Sources,
} from './outsideSchema.ts'
export { momentsSchema } from './voiceSchema.ts'
export type { Moment, Voice } from './voiceSchema.ts'
