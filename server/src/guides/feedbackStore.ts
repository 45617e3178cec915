// What is said of copies in the database: on an answer, a stage, or the whole.
import type { FeedbackOnCopy, NewFeedbackOnCopy } from '@valise/core/guides'
import { resolveShownName } from '@valise/core/people'
import type { Names, PersonActor, ShownNameRule } from '@valise/core/people'
import type { Reader, Trx } from '../database/index.ts'
import { joinNames } from '../people/index.ts'

/** Lists what was said of a copy, oldest first. The caller has checked access. */
export async function listFeedback(
  reader: Reader,
  { personId }: PersonActor,
  copyId: string,
): Promise<FeedbackOnCopy[]> {
  const rows: FeedbackRecord[] = await reader
    .sql('guideFeedback')
    .modify(joinNames, reader, 'guideFeedback.authorId')
    .where({ copyId })
    .orderBy(['guideFeedback.at', 'guideFeedback.id'])
    .select('guideFeedback.*')
  return rows.map(({ id, stageId, pieceId, text, at, authorId, shownNameRule, ...row }) => {
    const names: Names = { ...row, fullName: row.fullName ?? '', firstName: row.firstName ?? '' }
    return {
      ...{ id, stageId, pieceId, text, at, isMine: authorId === personId },
      authorName: resolveShownName(names, shownNameRule),
    }
  })
}

export async function insertFeedback(
  trx: Trx,
  { personId }: PersonActor,
  copyId: string,
  feedback: NewFeedbackOnCopy,
): Promise<void> {
  await trx
    .sql('guideFeedback')
    .insert({ id: trx.newId(), copyId, ...feedback, authorId: personId, at: trx.now })
}

interface FeedbackRecord extends Pick<FeedbackOnCopy, 'id' | 'stageId' | 'pieceId' | 'text' | 'at'> {
  readonly authorId: string | null
  readonly fullName: string | null
  readonly firstName: string | null
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
}
