// Records: who did what when. Settings keep their old and new values; content is never in here.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'
import { recordActions, recordSubjects } from './valueLists.ts'

const value = Type.Union([Type.String(), Type.Number(), Type.Boolean(), Type.Null()])

/** The value before and after, per setting. */
const recordChangesSchema = Type.Record(Type.String(), Type.Tuple([value, value]))
export type RecordChanges = Record<string, [RecordValue, RecordValue]>
export type RecordValue = string | number | boolean | null

const auditRecordSchema = object({
  id: idSchema,
  at: instantSchema,
  actorId: Type.Union([idSchema, Type.Null()]),
  actorName: Type.Union([Type.String(), Type.Null()]),
  actorRole: Type.String(),
  action: Type.Enum([...recordActions]),
  subject: Type.Enum([...recordSubjects]),
  subjectId: Type.Union([idSchema, Type.Null()]),
  subjectName: Type.Union([Type.String(), Type.Null()]),
  changes: recordChangesSchema,
})
export type AuditRecord = Static<typeof auditRecordSchema>

export const recordPageSchema = object({
  items: Type.Array(auditRecordSchema),
  next: Type.Union([Type.String(), Type.Null()]),
})
export type RecordPage = Static<typeof recordPageSchema>

export const recordsQuerySchema = object({
  action: Type.Optional(Type.Enum([...recordActions])),
  personId: Type.Optional(idSchema),
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
})
export type RecordsQuery = Static<typeof recordsQuerySchema>
