// Feedback in the database: what was said on a submission, by whom, and who may read it.
import type { Feedback, NewFeedback } from '@valise/core/feedback'
import { resolveShownName } from '@valise/core/people'
import type { Names, PersonActor, ShownNameRule } from '@valise/core/people'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { joinNames } from '../people/index.ts'

export interface FeedbackToSave extends NewFeedback {
  readonly submissionId: string
  readonly authorId: string
  /** The page that it stands on, where it is open. */
  readonly thingId: string | null
  readonly isRequest: boolean
}

export async function insertFeedback(trx: Trx, feedback: FeedbackToSave): Promise<string> {
  const { isOpen, isRequest, ...row } = feedback
  const id = trx.newId()
  await trx
    .sql('feedback')
    .insert({ id, ...row, isOpen: Number(isOpen), isRequest: Number(isRequest), at: trx.now })
  return id
}

/** Deletes feedback that is taken back. @returns the feedback; null for none */
export async function takeFeedback(trx: Trx, id: string | null): Promise<NewFeedback | null> {
  if (id === null) return null
  const row: FeedbackRow | undefined = await trx.sql('feedback').where({ id }).first()
  if (!row) return null
  await trx.sql('feedback').where({ id }).delete()
  return { part: row.part, isOpen: row.isOpen === 1, text: row.text }
}

/** Lists the feedback on these submissions, oldest first. The caller has checked access. */
export async function listFeedbackOn(
  reader: Reader,
  actor: PersonActor,
  submissionIds: readonly string[],
): Promise<(Feedback & { readonly submissionId: string })[]> {
  const rows: FeedbackRecord[] = await feedbackRows(reader)
    .modify(isOneOf, 'feedback.submissionId', submissionIds)
    .orderBy(['feedback.at', 'feedback.id'])
  return rows.map((row) => ({ submissionId: row.submissionId, ...toFeedback(row, actor) }))
}

/** Lists the open feedback on a page, oldest first. The caller has checked access. */
export async function listOpenFeedback(
  reader: Reader,
  actor: PersonActor,
  pageId: string,
): Promise<Feedback[]> {
  const rows: FeedbackRecord[] = await feedbackRows(reader)
    .where({ 'feedback.thingId': pageId, isOpen: 1 })
    .orderBy(['feedback.at', 'feedback.id'])
  return rows.map((row) => toFeedback(row, actor))
}

function feedbackRows(reader: Reader): Knex.QueryBuilder {
  return reader.sql('feedback').modify(joinNames, reader, 'feedback.authorId').select('feedback.*')
}

interface FeedbackRow {
  readonly id: string
  readonly submissionId: string
  readonly part: number | null
  readonly authorId: string | null
  readonly isOpen: number
  readonly isRequest: number
  readonly text: string
  readonly at: string
}

interface FeedbackRecord extends FeedbackRow {
  readonly fullName: string | null
  readonly firstName: string | null
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
}

function toFeedback(row: FeedbackRecord, { personId }: PersonActor): Feedback {
  const { id, part, text, at, fullName, firstName, chosenName, shownNameRule } = row
  const names: Names = { fullName: fullName ?? '', firstName: firstName ?? '', chosenName }
  return {
    ...{ id, part, text, at },
    isOpen: row.isOpen === 1,
    isRequest: row.isRequest === 1,
    authorName: resolveShownName(names, shownNameRule),
    isMine: row.authorId === personId,
  }
}
