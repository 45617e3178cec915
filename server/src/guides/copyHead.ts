// What everybody who sees a copy is told about its guide: what it goes along, when stages open, when it is due.
import { dueAtOf, guideMoments } from '@valise/core/guides'
import type { GuideContent, GuideCopy } from '@valise/core/guides'
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { listOfGuides } from '../assignments/index.ts'
import type { Reader } from '../database/index.ts'
import { listNewestVersions, listOfferedTo, listVersions } from '../offers/index.ts'
import { getSchool, listShownNames } from '../people/index.ts'
import { listLatest, toSubmissionRow } from '../submissions/index.ts'
import type { CopyRow } from './copyStore.ts'
import { listFeedback } from './feedbackStore.ts'
import { listOpenings, openedIn } from './stageStore.ts'

type CopyHead = Omit<GuideCopy, 'logbookId' | 'binnedAt' | 'instructions' | 'draft'>

export async function getHead(reader: Reader, actor: PersonActor, copy: CopyRow): Promise<CopyHead> {
  const { id, guideId, classId, n, ownerId, className, classCode, reading, begunAt } = copy
  const [newest] = await listNewestVersions<GuideContent>(reader, [guideId])
  const [along] = await listVersions<GuideContent>(reader, [{ id: guideId, n }])
  if (!newest || !along) throw new AppError('not-found', 'not-found')
  const { timeZone } = await getSchool(reader)
  const opened = openedIn(await listOpenings(reader, [guideId]), guideId, classId)
  const assignment = (await listOfGuides(reader, [guideId])).find((one) => one.classId === classId)
  const [latest] = assignment ? await listLatest(reader, ownerActor(ownerId), [assignment.id]) : []
  const names = await listShownNames(reader, [newest.ownerId, ownerId])
  const offered = await listOfferedTo(reader, 'guide', [classId])
  return {
    at: reader.now,
    ...{ id, guideId, n, newest: newest.n, content: along.content, reading, className, classCode, begunAt },
    ...{ setBy: names.get(newest.ownerId) ?? '', ownerName: names.get(ownerId) ?? '' },
    moments: guideMoments(newest.content, timeZone, opened),
    dueAt: dueAtOf(newest.content, timeZone),
    isEnded: !offered.some((one) => one.id === guideId),
    assignmentId: assignment?.id ?? null,
    latest: latest ? toSubmissionRow(latest) : null,
    feedback: await listFeedback(reader, actor, id),
  }
}
