// Records: who did what when.
export { changesBetween } from './changesBetween.ts'
export {
  auditRecordSchema,
  recordActions,
  recordChangesSchema,
  recordPageSchema,
  recordsQuerySchema,
  recordSubjects,
} from './schema.ts'
export type {
  AuditRecord,
  RecordAction,
  RecordChanges,
  RecordPage,
  RecordsQuery,
  RecordSubject,
  RecordValue,
} from './schema.ts'
