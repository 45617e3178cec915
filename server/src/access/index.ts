// Access: the one scope of what may be seen, passes, visitor links, what others opened.
export { accessScope, presentMembers } from './scopeStore.ts'
export { countSeersOfEvidence, sharedEvidence } from './audienceStore.ts'
export { mountLinks } from './linkRoutes.ts'
export { getReaderFacts } from './readerFacts.ts'
export { accessRoutes } from './routes.ts'
export { endPass, givePass, listPasses } from './service.ts'
export { listOwnThings as listThingsToShare } from './thingStore.ts'
export { findViewer, refusalFor } from './viewer.ts'
