// A guide and the students of a class in the database, as those who follow them want them.
import type { GuideContent } from '@valise/core/guides'
import { resolveShownName } from '@valise/core/people'
import type { Names, ShownNameRule } from '@valise/core/people'
import type { SubmissionState } from '@valise/core/submissions'
import type { Instant, Zone } from '@valise/core/time'
import { presentMembers } from '../access/index.ts'
import type { Reader } from '../database/index.ts'
import { peopleNow } from '../people/index.ts'

export interface FollowedGuide {
  readonly content: GuideContent
  readonly className: string
  readonly classCode: string
  readonly timeZone: Zone
  readonly assignmentId: string | null
}

/** Finds a guide that is set for a class, or was: its newest version. The caller has checked access to the class. */
export async function findFollowed(
  { sql }: Reader,
  guideId: string,
  classId: string,
): Promise<FollowedGuide | null> {
  const isSet = (table: string) => sql(table).where({ classId })
  const row = await sql('offered')
    .join('offeredVersions as newest', (join) =>
      join.on('newest.offeredId', 'offered.id').andOn('newest.n', 'offered.n'),
    )
    .joinRaw('cross join schools')
    .join('classes', 'classes.id', sql.raw('?', [classId]))
    .leftJoin('assignments', (join) =>
      join.on('assignments.guideId', 'offered.id').andOn('assignments.classId', 'classes.id'),
    )
    .where({ 'offered.id': guideId, 'offered.kind': 'guide' })
    .where((set) =>
      set
        .whereExists(isSet('offers').where('offeredId', guideId).select('offeredId'))
        .orWhereExists(isSet('guideCopies').where({ guideId }).select('id')),
    )
    .first('newest.content', 'classes.name as className', 'classes.code as classCode')
    .select('schools.timeZone', 'assignments.id as assignmentId')
  return row ? { ...row, content: JSON.parse(row.content) } : null
}

export interface FollowedStudent {
  readonly personId: string
  readonly name: string
  readonly copyId: string | null
  readonly changedAt: Instant | null
  readonly submissionId: string | null
  readonly state: SubmissionState | null
  readonly byItself: boolean
  readonly feedback: number
}

interface StudentRecord extends Omit<FollowedStudent, 'name' | 'byItself' | 'feedback'>, Names {
  readonly shownNameRule: ShownNameRule | null
  readonly byItself: number | null
  readonly feedback: number | string
}

/** Lists the present students of a class with their copies of a guide and what they handed in last. */
export async function listFollowed(
  reader: Reader,
  guideId: string,
  classId: string,
  assignmentId: string | null,
): Promise<FollowedStudent[]> {
  const { sql } = reader
  const students = presentMembers(reader).where({ classId, role: 'student' }).select('personId')
  const newest = sql('submissions as later')
    .where('later.assignmentId', sql.ref('submissions.assignmentId'))
    .where('later.ownerId', sql.ref('submissions.ownerId'))
    .max('later.n')
  const rows: StudentRecord[] = await peopleNow(reader)
    .whereIn('people.id', students)
    .whereNull('people.endedAt')
    .leftJoin('guideCopies', (join) =>
      join.on('guideCopies.ownerId', 'people.id').andOnVal('guideCopies.guideId', guideId),
    )
    .leftJoin('things', (join) => join.on('things.id', 'guideCopies.id').andOnVal('things.isBinned', 0))
    .leftJoin('submissions', (join) =>
      join
        .on('submissions.ownerId', 'people.id')
        .andOnVal('submissions.assignmentId', assignmentId ?? '')
        .andOn('submissions.n', newest as never),
    )
    .orderBy(['people.sortName', 'people.id'])
    .select('people.id as personId', 'people.fullName', 'people.firstName', 'people.chosenName')
    .select('yearGroup.shownNameRule', 'things.id as copyId', 'things.changedAt')
    .select('submissions.id as submissionId', 'submissions.state', 'submissions.byItself')
    .select({
      feedback: sql('guideFeedback').where('copyId', sql.ref('guideCopies.id')).count('*'),
    })
  return rows.map(({ shownNameRule, byItself, feedback, fullName, firstName, chosenName, ...row }) => ({
    ...row,
    name: resolveShownName({ fullName, firstName, chosenName }, shownNameRule),
    byItself: byItself === 1,
    feedback: Number(feedback),
  }))
}
