// Evidence: what a student keeps to show learning, with its versions, rights and tags.
export { binEndsAt } from './binEndsAt.ts'
export { decideNewVersion, decideUpload } from './decideUpload.ts'
export type { UploadLimits, UploadWish } from './decideUpload.ts'
export { extensionOf } from './extensionOf.ts'
export { cleanFileName, suggestTitle } from './fileName.ts'
export { canBeRendered, kindOfMime, mayStandInline } from './kindOfMime.ts'
export { creditLine, isWebAddress } from './rights.ts'
export {
  creditLineSchema,
  evidenceChangeSchema,
  evidencePageSchema,
  evidenceSchema,
  rightsForManySchema,
  rightsSchema,
  tagsInUseSchema,
  traySchema,
  uploadMetadataSchema,
  uploadSchema,
  uploadsSchema,
} from './schema.ts'
export type {
  CreditLine,
  Evidence,
  EvidenceChange,
  EvidencePage,
  EvidenceRow,
  EvidenceVersion,
  Rights,
  RightsForMany,
  TagsInUse,
  Tray,
  Upload,
  UploadMetadata,
  Uploads,
} from './schema.ts'
export { cleanTags, toTagKey } from './tags.ts'
export {
  BIN_KEPT_DAYS,
  evidenceKinds,
  licenceIds,
  licences,
  LONGEST_STATEMENT,
  LONGEST_TAG,
  LONGEST_TITLE,
  MOST_IN_TRAY,
  MOST_PIXELS,
  MOST_TAGS,
  previewProblems,
  renditionKinds,
  UPLOAD_KEPT_HOURS,
} from './valueLists.ts'
export type { EvidenceKind, LicenceId, PreviewProblem, PreviewState, RenditionKind } from './valueLists.ts'
