// For tests and measurements: databases, a site without a socket, a small school.
export { describeEachDatabase, openTestSqlite, TEST_START } from './databases.ts'
export type { OpenDatabase } from './databases.ts'
export { copyRows, openStoredFolder } from './storedFolder.ts'
export { allRows } from './allRows.ts'
export { insertSampleEvidence } from './sampleEvidence.ts'
export { insertSampleRating } from './sampleRatings.ts'
export { insertSampleCollection, insertSampleSharing } from './sampleSharing.ts'
export {
  insertFeedback,
  insertSampleAssignment,
  insertSampleSubmission,
  insertToRead,
} from './sampleSubmissions.ts'
export { makeTestSite, TEST_PASSWORD, testConfig } from './site.ts'
export type { TestBrowser, TestSite } from './site.ts'
export { fieldAttributes } from './attributes.ts'
export { makeSmallSchool } from './smallSchool.ts'

export { findFaults, recordStatements } from './plans.ts'
export { askSpecially, write } from './specialAsks.ts'
export { askOf, asksOf, bodies, nameOf } from './asks.ts'
export type { Ask } from './asks.ts'
export { driveOfOne, makeOneOfEverything, thingNames } from './oneOfEverything.ts'
export type { ThingIds } from './oneOfEverything.ts'
export { makePicture, makePictureBomb } from './pictures.ts'
export { beginUpload, BYTES, TUS, upload } from './upload.ts'

export { copyOf, listGuides, progressOf, startGuideSite, startSealedGuide, studentIn } from './guideSite.ts'
export {
  answerIn,
  askedIn,
  guideQuestion,
  guideStage,
  improveGuide,
  sealedVisits,
  setGuide,
  startGuide,
  twoVisits,
} from './sampleGuides.ts'
export { makeEveryThing } from './everyThing.ts'
export type { ThingOfEachKind } from './everyThing.ts'
export { publishEveryPiece } from './everyPiece.ts'
export { addTextRow, sayOf, sendEdit, writeText } from './editing.ts'
export {
  assignmentInput,
  choose,
  everyRequirementWanted,
  handInChosen,
  handInSealed,
  pageWanted,
  rightsWanted,
  setAssignment,
  statementWanted,
} from './handingIn.ts'

export { accept, answer, ask, newsKinds, startSealed, startSubmissions } from './submissionWorld.ts'
