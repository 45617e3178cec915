// Classes: groups of students with their assessors.
export { decideClassAccess } from './decideClassAccess.ts'
export { classDetailSchema, classInputSchema, classSchema } from './schema.ts'
export type { Class, ClassDetail, ClassInput, RosterMember } from './schema.ts'
