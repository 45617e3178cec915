// Access: who may look, comment or copy, because of what, until when, and what stands in the way.
export { audienceDefinitionOf, audienceKinds } from './audiences/audienceDefinitions.ts'
export type { Audience, AudienceKind, AudienceOf } from './audiences/audienceDefinitions.ts'
export { decidePass } from './decidePass.ts'

export { endOf, prepareAccess, resolveAccess } from './resolveAccess.ts'
export {
  audiencesSchema,
  lookAsSchema,
  newPassSchema,
  sharedWithMeListSchema,
  passChangeSchema,
  passSchema,
  readCollectionSchema,
  readPageSchema,
  seenBySchema,
  sharingSchema,
} from './schema.ts'
export type {
  Audiences,
  LookAs,
  NewPass,
  SharedWithMeList,
  ThingSharedWithMe,
  Pass,
  PassChange,
  ReadCollection,
  ReadPage,
  SeenBy,
  Sharing,
  ThingAnswer,
} from './schema.ts'
export { sharingRows } from './sharingRows.ts'
export type { SharingRow } from './sharingRows.ts'
export { usualAudiences } from './sharingRules.ts'
export { LONGEST_LINK_NAME, MOST_PASSES } from './valueLists.ts'
export type { AccessRight } from './valueLists.ts'
export type { AccessAnswer, AccessPass, AccessThing, AccessWorld, MembershipWindow, Viewer } from './world.ts'
