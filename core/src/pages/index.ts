// Pages: the document of rows and pieces, the operations that change it, and its rendering.
export { renderText } from './renderText.ts'
export { applyOperation, applyOperations, idBefore, invertOperations } from './applyOperations.ts'
export { documentSize } from './documentSize.ts'
export { pageChangesSchema } from './changeSchema.ts'
export { countChanges, differencePages } from './differencePages.ts'
export type { PageChange, ShownDocument } from './differencePages.ts'
export { differenceWords } from './differenceWords.ts'
export type { WordChange } from './differenceWords.ts'
export {
  entryIdsOf,
  logbookIdsOf,
  logbookReferences,
  evidenceIdsOf,
  evidenceReferences,
  findPiece,
  isCaptioned,
  isShown,
  linkAddressesOf,
  newDocument,
  nothingShown,
  piecesShown,
  placedPieces,
} from './parts.ts'
export type { CaptionedPiece, LogbookReference, EvidenceReference } from './parts.ts'
export { creditsOf, handOutsOf, lacksAlternative, listUntranscribed, newEvidencePiece } from './pieces.ts'
export { listPublishedHandOuts, thingsShown, withhold } from './publishedHandOuts.ts'
export type { PublishedHandOut } from './publishedHandOuts.ts'

export { newEntryPiece } from './pieces/entry/entryPiece.ts'
export { newLinePiece } from './pieces/line/linePiece.ts'
export { isTextPiece, newTextPiece } from './pieces/text/textPiece.ts'
export { definitionOf, pieceKinds } from './pieces/pieceDefinitions.ts'
export type { HandOut, PageView, PlayedRecording, Statement } from './pieces/PieceDefinition.ts'
export { newLogbookPiece } from './pieces/logbook/logbookPiece.ts'
export type { EntryChoice } from './pieces/logbook/schema.ts'
export { isFilePiece, newRecordingPiece } from './pieces/file/filePiece.ts'
export type { MarkedMoment } from './pieces/file/schema.ts'
export type { Piece, PieceKind, PieceOf } from './pieces/pieceSchemas.ts'
export { rebaseEdit } from './rebaseEdit.ts'

export { renderPage, renderPiece, renderRow } from './renderPage.ts'
export { isUnanswered, newAnswerPiece, progressOf } from './fields/answers.ts'
export type { AnswerProgress } from './fields/answers.ts'
export { fieldKinds, fieldOf, sheetFieldKinds } from './fields/fieldDefinitions.ts'
export { optionSchema } from './fields/fieldParts.ts'
export type { Option, WordLimits } from './fields/fieldParts.ts'
export { questionSchema } from './fields/fieldSchemas.ts'
export type { AnswerOf, FieldKind, Question, QuestionOf } from './fields/fieldSchemas.ts'
export { isEntryQuestion } from './fields/entry/isEntryQuestion.ts'
export { isPageAnswer } from './fields/page/isPageAnswer.ts'
export type { ChosenPage } from './fields/page/schema.ts'
export { isRatingPiece } from './fields/rating/isRatingPiece.ts'
export { chosenStepSchema } from './fields/rating/schema.ts'
export type { ChosenStep, RatedAttribute } from './fields/rating/schema.ts'
export { isAnswerPiece } from './pieces/answer/answerPiece.ts'
export type { AnswerPiece, Given } from './pieces/answer/schema.ts'
export { richTextSchema } from './richTextSchema.ts'
export { faultOfText, isRichText } from './checkText.ts'
export type { TextFault } from './checkText.ts'
export { isLinkAddress } from './linkAddress.ts'
export { mergeTexts } from './mergeTexts.ts'
export { countWords, countWordsIn, emptyText, textOf, toPlainText } from './richText.ts'
export { textNodes } from './textGrammar.ts'
export { textSchema } from './textSchema.ts'
export type { RichNode, RichText } from './richText.ts'
export {
  draftSchema,
  editAnswerSchema,
  editSchema,
  shownEntrySchema,
  shownSchema,
  newPageSchema,
  pageListSchema,
  pageSchema,
} from './schema.ts'
export type {
  Draft,
  Edit,
  EditAnswer,
  NewPage,
  Operation,
  OtherVersion,
  Page,
  PageDocument,
  PageList,
  PageRow,
  Published,
  Row,
  SheetReference,
  Shown,
  ShownEntry,
  ShownEvidence,
  ShownVoice,
} from './schema.ts'
export { upgradeDocument } from './upgradeDocument.ts'
export {
  COLUMNS,
  contentSorts,
  DEEPEST_TEXT,
  LONGEST_DOCUMENT,
  LONGEST_ALTERNATIVE,
  LONGEST_ASKED,
  LONGEST_HINT,
  LONGEST_NAME_GIVEN,
  LONGEST_OPTION,
  LONGEST_PAGE_TITLE,
  LONGEST_REASON,
  logbookOrders,
  MOST_ENTRIES_SHOWN,
  LONGEST_SHORT_ANSWER,
  MOST_ANSWER_WORDS,
  MOST_CHOSEN_PAGES,
  MOST_NAMES_GIVEN,
  MOST_OPTIONS,
  MOST_SCALE_STEPS,
  MOST_SHEET_QUESTIONS,
  MOST_STEPS,
  NARROWEST,
  textLanguages,
} from './valueLists.ts'
export type { ContentSort } from './valueLists.ts'
