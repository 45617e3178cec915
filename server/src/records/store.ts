// The records: appended in the transaction of the act, read newest first.
import { roleOf } from '@valise/core/people'
import type { Actor } from '@valise/core/people'
import type {
  AuditRecord,
  RecordAction,
  RecordChanges,
  RecordsQuery,
  RecordSubject,
} from '@valise/core/records'
import { parseCursor, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export interface Act {
  readonly action: RecordAction
  readonly subject: RecordSubject
  readonly subjectId: string | null
  readonly changes?: RecordChanges
}

/** Records who did what. `changes` may hold settings, never content. */
export async function appendRecord(trx: Trx, actor: Actor, act: Act): Promise<void> {
  await trx.sql('auditRecords').insert({
    id: trx.newId(),
    at: trx.now,
    actorId: actor.kind === 'person' ? actor.personId : null,
    actorRole: roleOf(actor),
    action: act.action,
    subject: act.subject,
    subjectId: act.subjectId,
    changes: JSON.stringify(act.changes ?? {}),
  })
}

export interface RecordSlice {
  readonly items: AuditRecord[]
  readonly next: string | null
}

export async function listRecords(reader: Reader, query: RecordsQuery): Promise<RecordSlice> {
  const limit = query.limit ?? 50
  const rows = await reader
    .sql('auditRecords as r')
    .leftJoin('people as actor', 'actor.id', 'r.actorId')
    .leftJoin('people as person', 'person.id', 'r.subjectId')
    .leftJoin('classes as class', 'class.id', 'r.subjectId')
    .select('r.*', 'actor.fullName as actorName', 'person.fullName as personName', 'class.name as className')
    .modify((q) => {
      if (query.action) q.where('r.action', query.action)
      if (query.personId) {
        const id = query.personId
        q.where((either) => either.where('r.actorId', id).orWhere('r.subjectId', id))
      }
      if (query.cursor) {
        const [at = '', id = ''] = parseCursor(query.cursor, 2)
        q.where((later) =>
          later.where('r.at', '<', at).orWhere((same) => same.where('r.at', at).where('r.id', '<', id)),
        )
      }
    })
    .orderBy([
      { column: 'r.at', order: 'desc' },
      { column: 'r.id', order: 'desc' },
    ])
    .limit(limit + 1)
  const items = rows.slice(0, limit).map(toRecord)
  const last = items.at(-1)
  return { items, next: rows.length > limit && last ? toCursor([last.at, last.id]) : null }
}

/** A row as the query above selects it. */
interface RecordRow extends Omit<AuditRecord, 'changes' | 'subjectName'> {
  changes: string
  personName: string | null
  className: string | null
}

function toRecord(row: RecordRow): AuditRecord {
  const { personName, className, changes, ...rest } = row
  return { ...rest, subjectName: personName ?? className, changes: JSON.parse(changes) }
}
