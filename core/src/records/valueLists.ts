// What records can say; apart from the schemas, so that the web gets no validator with it.

export const recordActions = [
  'signed-in',
  'sign-in-refused',
  'signed-out',
  'signed-out-elsewhere',
  'password-changed',
  'sign-in-link-made',
  'person-added',
  'person-changed',
  'person-ended',
  'person-resumed',
  'membership-added',
  'membership-changed',
  'class-added',
  'class-changed',
  'pass-given',
  'pass-changed',
  'pass-ended',
  'link-renewed',
  'assignment-set',
  'assignment-changed',
  'assignment-ended',
  'assignment-removed',
  'handed-in',
  'copy-sealed',
  'sealing-failed',
  'copy-opened',
  'taken-back',
  'changes-asked',
  'work-accepted',
  'answer-undone',
  'picture-reported',
] as const
export type RecordAction = (typeof recordActions)[number]

export const recordSubjects = [
  'person',
  'class',
  'membership',
  'session',
  'pass',
  'assignment',
  'submission',
] as const
export type RecordSubject = (typeof recordSubjects)[number]
