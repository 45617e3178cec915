// What the demo, the tools and the measurements use of the server.
export { createApp } from './app.ts'
export { shiftedClock, systemClock } from './system/index.ts'

export { databaseFile, readConfig } from './config.ts'
export type { Config } from './config.ts'
export { inTransaction, openSqlite } from './database/index.ts'
export type { Database, Trx } from './database/index.ts'
export { routesWith } from './http/index.ts'
export type { Route } from './http/index.ts'
export {
  createMembership,
  createPerson,
  hasSchool,
  listPresentPeople,
  savePassword,
  setUpSchool,
  startSession,
  usualYearGroups,
} from './people/index.ts'
export { setAssignment } from './assignments/index.ts'
export {
  addFeedback,
  answer,
  changeChoice,
  getHandIn,
  handIn,
  handInWhenDue,
  openCopy,
  seal,
  takeBack,
} from './submissions/index.ts'
export { createCollage, getCollage, updateCollage } from './collages/index.ts'
export { createClass } from './classes/index.ts'
export { closeServices, listen, openServices, startJobs, StartError } from './start.ts'
export {
  findItems,
  indexEverything,
  indexWords,
  insertDriveDocument,
  saveFile,
  savePoster,
  putIntoTray,
  saveLink,
  takeOutOfTray,
  updateEvidence,
} from './evidence/index.ts'
export { streamOf } from './files/index.ts'
export { createNote, saveContent } from './gathering/index.ts'
export { listNews, markNewsSeen } from './news/index.ts'
export { saveEdit } from './drafts/index.ts'
export { endPass, givePass, listOwnShared, listPasses } from './access/index.ts'
export { changeCollection, createCollection } from './collections/index.ts'
export { createPage, pageRoom, publishPage } from './pages/index.ts'
export { beginStatement, statementRoom } from './statements/index.ts'
export { changeEntry, changeLogbook, createEntry, createLogbook, entryRoom } from './reflections/index.ts'
export { sheetRoom } from './sheets/index.ts'
export {
  copyRoom,
  createGuideEntry,
  getCopy,
  giveFeedback,
  guideJobs,
  guideRoom,
  planCollecting,
  startCopy,
} from './guides/index.ts'
export { attributeSetRoom } from './attributes/index.ts'

export type { Services } from './services.ts'
export { putIntoBin } from './bin/index.ts'
