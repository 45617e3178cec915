// Copies of guides as a room of drafts: what is written in one is noted by stages, and pages in it are handed in with it.
import { pageIdsOf, progressOfStage, rowsOf } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import { fnv1a } from '@valise/core/json'
import { isAnswerPiece } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { ownerActor, textIn } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { ChosenPart } from '@valise/core/submissions'
import { listOfGuides } from '../assignments/index.ts'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'
import type { DraftRoom } from '../drafts/index.ts'
import { listVersions } from '../offers/index.ts'
import { noteRatings } from '../ratings/index.ts'
import { insertChoice, listChoices, replaceParts } from '../submissions/index.ts'
import { listOwnThings, noteDraft } from '../things/index.ts'
import { getOwnCopy, updateCopy } from './copyStore.ts'
import type { CopyRow } from './copyStore.ts'
import { listStages, saveStage } from './stageStore.ts'

/** @throws AppError where the copy is not one's own, or lies in the bin */
async function getWritable(reader: Reader, actor: PersonActor, id: string): Promise<CopyRow> {
  const copy = await getOwnCopy(reader, actor, id)
  if (copy.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return copy
}

export const copyRoom: DraftRoom & { readonly getWritable: typeof getWritable } = {
  assertWritable: getWritable,
  getWritable,
  usesShown: true,
  keepsMinutes: true,
  noteChange: async (trx, id, document, writtenAt) => {
    const { ownerId, guideId, classId, n: before } = await trx.sql('guideCopies').where({ id }).first()
    const n = document.sheet?.n ?? before
    if (n !== before) await updateCopy(trx, id, { n })
    await noteDraft(trx, id, textIn(document.sheet?.title ?? {}, document.lang))
    await noteStages(trx, id, document, { guideId, n, writtenAt })
    await chooseParts(trx, ownerActor(ownerId), { id, guideId, classId }, document)
    await noteRatings(trx, id, document)
  },
}

/** Notes how far each stage has come, and when something was written in it last. */
async function noteStages(
  trx: Trx,
  copyId: string,
  document: PageDocument,
  { guideId, n, writtenAt }: { readonly guideId: string; readonly n: number; readonly writtenAt: Instant },
): Promise<void> {
  const [version] = await listVersions<GuideContent>(trx, [{ id: guideId, n }])
  if (!version) return
  const known = new Map((await listStages(trx, [copyId])).map((row) => [row.stageId, row]))
  for (const stage of version.content.stages) {
    const contentHash = hashOf(document, stage)
    const progress = progressOfStage(document, stage)
    const before = known.get(stage.id)
    const isSame = before ? before.contentHash === contentHash : progress === 'not-begun'
    if (isSame) continue
    // What comes later although it was written before does not hide that something was written after.
    const changedAt = before && before.changedAt > writtenAt ? before.changedAt : writtenAt
    await saveStage(trx, { copyId, stageId: stage.id, progress, contentHash, changedAt })
  }
}

/** Of what is answered and of what stands beside it, not of what is asked. */
function hashOf(document: PageDocument, stage: GuideContent['stages'][number]): string {
  const answered = rowsOf(document, stage).map(({ pieces }) =>
    pieces.map((piece) => (isAnswerPiece(piece) ? piece.given.answer : piece)),
  )
  return fnv1a(answered).toString(36)
}

/** Chooses what is handed in: the copy, and the pages that answer its questions. */
export async function chooseParts(
  trx: Trx,
  actor: PersonActor,
  { id, guideId, classId }: Pick<CopyRow, 'id' | 'guideId' | 'classId'>,
  document: PageDocument,
): Promise<void> {
  const assignment = (await listOfGuides(trx, [guideId])).find((one) => one.classId === classId)
  if (!assignment) return
  const chosen = pageIdsOf(document)
  const own = new Set((await listOwnThings(trx, actor, ['page'], chosen)).map((page) => page.id))
  const parts: ChosenPart[] = [
    { kind: 'guideCopy', id, isIn: true, copy: 'draft' },
    ...chosen.flatMap((pageId) =>
      own.has(pageId) ? [{ kind: 'page' as const, id: pageId, isIn: true, copy: 'published' as const }] : [],
    ),
  ]
  const [found] = await listChoices(trx, actor, [assignment.id])
  const isSame =
    found?.parts.length === parts.length && found.parts.every((one, n) => one.id === parts[n]?.id)
  if (isSame) return
  await replaceParts(trx, found ?? (await insertChoice(trx, actor, assignment.id)), parts)
}
