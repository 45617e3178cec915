// Pages: the document of rows and pieces, the operations that change it, and its rendering.
export { renderText } from './renderText.ts'
export {
  applyOperation,
  applyOperations,
  idBefore,
  invertOperation,
  invertOperations,
} from './applyOperations.ts'
export { documentSize } from './documentSize.ts'
export { pageChangesSchema } from './changeSchema.ts'
export { countChanges, differencePages } from './differencePages.ts'
export type { PageChange, ShownDocument } from './differencePages.ts'
export { differenceWords } from './differenceWords.ts'
export type { WordChange } from './differenceWords.ts'
export {
  entryIdsOf,
  evidenceIdsOf,
  findPiece,
  linkAddressesOf,
  newDocument,
  nothingShown,
  placedPieces,
} from './parts.ts'
export type { PlacedPiece } from './parts.ts'
export {
  lacksAlternative,
  listUntranscribed,
  newEntryPiece,
  newEvidencePiece,
  newLinePiece,
  newTextPiece,
} from './pieces.ts'
export type { PlayedRecording } from './pieces.ts'
export { rebaseEdit } from './rebaseEdit.ts'
export type { RebasedEdit } from './rebaseEdit.ts'
export { creditsOf, isPlayed, renderPage, renderPiece } from './renderPage.ts'
export type { PageView, Statement } from './renderPage.ts'
export { faultOfText, isRichText } from './checkText.ts'
export type { TextFault } from './checkText.ts'
export { isLinkAddress } from './linkAddress.ts'
export { countWords, emptyText, textOf, toPlainText } from './richText.ts'
export { textNodes } from './textGrammar.ts'
export { textSchema } from './textSchema.ts'
export type { Mark, RichNode, RichText } from './richText.ts'
export {
  documentSchema,
  draftSchema,
  editAnswerSchema,
  editSchema,
  newPageSchema,
  pageListSchema,
  pageSchema,
  publishedSchema,
  shownSchema,
  usesSchema,
  richTextSchema,
} from './schema.ts'
export type {
  Draft,
  Edit,
  EditAnswer,
  FilePiece,
  NewPage,
  Operation,
  OtherVersion,
  Page,
  PageDocument,
  PageList,
  PageRow,
  PicturePiece,
  Piece,
  Published,
  Row,
  Shown,
  ShownEntry,
  ShownEvidence,
  ShownVoice,
  TextPiece,
  Use,
} from './schema.ts'
export { upgradeDocument } from './upgradeDocument.ts'
export {
  COLUMNS,
  DEEPEST_TEXT,
  LONGEST_DOCUMENT,
  LONGEST_ALTERNATIVE,
  LONGEST_PAGE_TITLE,
  NARROWEST,
  pieceKinds,
  textLanguages,
} from './valueLists.ts'
export type { PieceKind } from './valueLists.ts'
