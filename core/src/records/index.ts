// Records: who did what when.
export { changesBetween } from './changesBetween.ts'
export { recordPageSchema, recordsQuerySchema } from './schema.ts'
export type { AuditRecord, RecordChanges, RecordPage, RecordsQuery, RecordValue } from './schema.ts'
export { recordActions } from './valueLists.ts'
export type { RecordAction, RecordSubject } from './valueLists.ts'
