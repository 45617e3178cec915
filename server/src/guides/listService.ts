// The guides of a student: those that are set for their classes now, and every copy that they began.
import { dueAtOf, guideMoments, newCopyDocument, stageStates } from '@valise/core/guides'
import type { GuideContent, GuideRow } from '@valise/core/guides'
import type { PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { SubmissionRow } from '@valise/core/submissions'
import type { GuideToDo } from '@valise/core/today'
import type { Zone } from '@valise/core/time'
import { listOfGuides } from '../assignments/index.ts'
import type { GuideAssignment } from '../assignments/index.ts'
import type { Reader } from '../database/index.ts'
import { listPresentDrafts } from '../drafts/index.ts'
import { listNewestVersions, listOfferedTo, listVersions } from '../offers/index.ts'
import type { NewestVersionRow } from '../offers/index.ts'
import { getSchool, listShownNames } from '../people/index.ts'
import { listLatest, toSubmissionRow } from '../submissions/index.ts'
import { listOwnCopies } from './copyStore.ts'
import type { CopyRow } from './copyStore.ts'
import { listOpenings, openedIn } from './stageStore.ts'

/** Lists them, those due next first, in a number of queries that does not depend on how many there are. */
export async function listGuides(reader: Reader, actor: PersonActor): Promise<GuideRow[]> {
  return (await listGuidesToDo(reader, actor)).map(({ row }) => row)
}

/** Lists them with what their copies ask and say. */
export async function listGuidesToDo(reader: Reader, actor: PersonActor): Promise<GuideToDo[]> {
  const classIds = actor.memberships.flatMap(({ role, classId }) => (role === 'student' ? [classId] : []))
  const offered = await listOfferedTo<GuideContent>(reader, 'guide', classIds)
  const copies = (await listOwnCopies(reader, actor)).filter(({ binnedAt }) => binnedAt === null)
  const begun = new Set(copies.map(({ guideId }) => guideId))
  const open = offered.filter(
    ({ id }, at) => !begun.has(id) && offered.findIndex((one) => one.id === id) === at,
  )
  const guideIds = [...begun, ...open.map(({ id }) => id)]
  const newest = await listNewestVersions<GuideContent>(reader, guideIds)
  const assignments = await listOfGuides(reader, guideIds)
  const latest = await listLatest(
    reader,
    actor,
    assignments.map(({ id }) => id),
  )
  const along = await listVersions<GuideContent>(
    reader,
    copies.map(({ guideId: id, n }) => ({ id, n })),
  )
  const drafts = await listPresentDrafts(
    reader,
    actor,
    copies.map(({ id }) => id),
  )
  const names = await listShownNames(
    reader,
    newest.map(({ ownerId }) => ownerId),
  )
  const classes = await listClassNames(reader, [...new Set(open.map(({ classId }) => classId))])
  const world = {
    ...{ zone: (await getSchool(reader)).timeZone, now: reader.now, newest, assignments, names },
    openings: await listOpenings(reader, guideIds),
    latest: latest.map(toSubmissionRow),
  }
  const isOffered = (copy: CopyRow) =>
    offered.some(({ id, classId }) => id === copy.guideId && classId === copy.classId)
  const rows = [
    ...copies.map((copy) => {
      const content = along.find(({ id, n }) => id === copy.guideId && n === copy.n)?.content
      const document = drafts.find(({ id }) => id === copy.id)?.document
      return toRow({ ...copy, copyId: copy.id, isEnded: !isOffered(copy) }, content, document, world)
    }),
    ...open.map(({ id: guideId, n, classId, content }) => {
      const named = classes.find(({ id }) => id === classId)
      const of = { guideId, classId, className: named?.name ?? '', classCode: named?.code ?? '' }
      const none = { copyId: null, isEnded: false, changedAt: null, reading: content.reading }
      return toRow(
        { ...of, ...none },
        content,
        newCopyDocument({ id: guideId, n, content }, guideId, 'en'),
        world,
      )
    }),
  ].flatMap((row) => row ?? [])
  const key = ({ row: { isEnded, dueAt, guideId } }: GuideToDo) =>
    `${Number(isEnded)} ${dueAt ?? 'z'} ${guideId}`
  return rows.sort((a, b) => (key(a) < key(b) ? -1 : 1))
}

interface World {
  readonly zone: Zone
  readonly now: string
  readonly newest: readonly NewestVersionRow<GuideContent>[]
  readonly assignments: readonly GuideAssignment[]
  readonly openings: Awaited<ReturnType<typeof listOpenings>>
  readonly latest: readonly SubmissionRow[]
  readonly names: ReadonlyMap<string, string>
}

type Begun = Pick<
  GuideRow,
  'guideId' | 'copyId' | 'className' | 'classCode' | 'isEnded' | 'changedAt' | 'reading'
> &
  Pick<CopyRow, 'classId'>

function toRow(
  of: Begun,
  content: GuideContent | undefined,
  document: PageDocument | undefined,
  { zone, now, newest, assignments, openings, latest, names }: World,
): GuideToDo | null {
  const guide = newest.find(({ id }) => id === of.guideId)
  if (!content || !document || !guide) return null
  const { guideId, copyId, classId, className, classCode, isEnded, changedAt, reading } = of
  // Dates hold for everybody as they are now, whichever version a copy goes along.
  const moments = guideMoments(guide.content, zone, openedIn(openings, guideId, classId))
  const assignment = assignments.find((one) => one.guideId === guideId && one.classId === classId)
  const row = {
    ...{ guideId, copyId, className, classCode, isEnded, changedAt, reading },
    ...{ title: content.title, about: content.about, setBy: names.get(guide.ownerId) ?? '' },
    dueAt: dueAtOf(guide.content, zone),
    stages: stageStates(document, content, moments, now),
    latest: latest.find(({ assignmentId }) => assignmentId === assignment?.id) ?? null,
  }
  return { row, content, document }
}

async function listClassNames(
  { sql }: Reader,
  ids: readonly string[],
): Promise<{ readonly id: string; readonly name: string; readonly code: string }[]> {
  return ids.length === 0
    ? []
    : sql('classes')
        .whereIn('id', [...ids])
        .orderBy('id')
        .select('id', 'name', 'code')
}
