// Records: who did what when.
export { changesBetween } from './changesBetween.ts'
export { auditRecordSchema, recordChangesSchema, recordPageSchema, recordsQuerySchema } from './schema.ts'
export type { AuditRecord, RecordChanges, RecordPage, RecordsQuery, RecordValue } from './schema.ts'
export { recordActions, recordSubjects } from './valueLists.ts'
export type { RecordAction, RecordSubject } from './valueLists.ts'
