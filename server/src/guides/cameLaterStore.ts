// What was written on devices before guides were due, and came after they had been handed in by themselves.
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import type { Reader } from '../database/index.ts'

/** A device sends what it holds in one go; until nothing came for so long, more is expected. */
const SETTLED_MINUTES = 1
const LOOKED_BACK_MINUTES = 24 * 60

export interface CameLater {
  readonly ownerId: string
  readonly assignmentId: string
  /** When the last of it came. */
  readonly cameAt: Instant
}

/**
 * Lists whose copies were handed in by themselves without words that were written in them before: in the copy itself,
 * or in an entry of its logbook.
 */
export async function listCameLater(reader: Reader): Promise<CameLater[]> {
  const { now } = reader
  return reader
    .sql('draftEdits')
    .leftJoin('logEntries', 'logEntries.id', 'draftEdits.draftId')
    .join('guideCopies', (copy) =>
      copy.on('guideCopies.id', 'draftEdits.draftId').orOn('guideCopies.logbookId', 'logEntries.logbookId'),
    )
    .join('assignments', (set) =>
      set.on('assignments.guideId', 'guideCopies.guideId').on('assignments.classId', 'guideCopies.classId'),
    )
    .join('submissions', (handedIn) =>
      handedIn
        .on('submissions.assignmentId', 'assignments.id')
        .on('submissions.ownerId', 'guideCopies.ownerId'),
    )
    .whereNotNull('draftEdits.writtenAt')
    .where('draftEdits.at', '>', addMinutes(now, -LOOKED_BACK_MINUTES))
    .where({ 'submissions.byItself': 1, 'submissions.state': 'with-assessor' })
    .where('draftEdits.writtenAt', '<=', reader.sql.ref('submissions.requestedAt'))
    .where('draftEdits.at', '>=', reader.sql.ref('submissions.pinnedAt'))
    .groupBy('submissions.ownerId', 'submissions.assignmentId')
    .having(reader.sql.raw('max("draftEdits"."at") <= ?', [addMinutes(now, -SETTLED_MINUTES)]))
    .select('submissions.ownerId', 'submissions.assignmentId')
    .max({ cameAt: 'draftEdits.at' })
}
