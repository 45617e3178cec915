// A copy as its readers see it: by whoever follows it in class, and by its owner, who looks with their eyes.
import { pageIdsOf, rowsByStage } from '@valise/core/guides'
import type { GuideContent, GuideCopyReading, NewFeedbackOnCopy, StageMoments } from '@valise/core/guides'
import { handOutsOf, isAnswerPiece, isUnanswered, renderPage, renderRow } from '@valise/core/pages'
import type { PageDocument, PageView, Row, Shown } from '@valise/core/pages'
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Reader, Writable } from '../database/index.ts'
import { getDraft } from '../drafts/index.ts'
import type { FileAnswer } from '../http/index.ts'
import { tellNews } from '../news/index.ts'
import { findHandedOut, listOwnPages } from '../pages/index.ts'
import { listShownNames } from '../people/index.ts'
import { getHead } from './copyHead.ts'
import { findReadCopy } from './copyStore.ts'
import type { CopyRow } from './copyStore.ts'
import { insertFeedback } from './feedbackStore.ts'
import { listStages } from './stageStore.ts'
import type { StageRow } from './stageStore.ts'

/** @throws AppError `not-found` for whoever may not read it now */
export async function readCopy(reader: Reader, actor: PersonActor, id: string): Promise<GuideCopyReading> {
  const copy = await getRead(reader, actor, id)
  const owner = ownerActor(copy.ownerId)
  const head = await getHead(reader, actor, copy)
  const { document, shown, changedAt } = await getDraft(reader, owner, id)
  const stages = await listStages(reader, [id])
  const isMine = copy.ownerId === actor.personId
  return {
    ...head,
    ...{ isMine, changedAt, mayGiveFeedback: !isMine },
    stages: readStages(document, head.content, {
      ...{ stages, moments: head.moments },
      view: viewOf(document, shown, (piece, { name }) => `/api/guide-copies/${id}/pieces/${piece}/${name}`),
    }),
    pages: await readPages(reader, owner, id, document),
  }
}

interface ReadWish {
  readonly stages: readonly StageRow[]
  readonly moments: readonly StageMoments[]
  readonly view: PageView
}

function readStages(
  document: PageDocument,
  content: GuideContent,
  wish: ReadWish,
): GuideCopyReading['stages'] {
  return rowsByStage(document, content).map(({ stage, rows }) => {
    const noted = wish.stages.find(({ stageId }) => stageId === stage?.id)
    const closesAt = wish.moments.find(({ stageId }) => stageId === stage?.id)?.closesAt ?? null
    return {
      ...{ id: stage?.id ?? null, name: stage?.name ?? {}, progress: noted?.progress ?? 'not-begun' },
      changedAfterClose: closesAt !== null && noted !== undefined && noted.changedAt > closesAt,
      questions: rows.flatMap((row) => readQuestion(row, wish.view)),
    }
  })
}

function readQuestion(row: Row, view: PageView) {
  const piece = row.pieces.find(isAnswerPiece)
  if (!piece) return []
  const { asks } = piece.given.question
  return [{ pieceId: piece.id, asks, isBlank: isUnanswered(piece, row), html: renderRow(row, view) }]
}

/** What stands in a copy has its headings below those of its stages. */
function viewOf(document: PageDocument, shown: Shown, address: PageView['address']): PageView {
  return { shown, lang: document.lang, address, headingShift: 1 }
}

/** The pages that answer questions, as they are published; those that were never published are not read. */
async function readPages(reader: Reader, owner: PersonActor, id: string, document: PageDocument) {
  const pages = await listOwnPages(reader, owner, pageIdsOf(document))
  return pages.flatMap(({ id: pageId, published }) => {
    if (!published) return []
    const view: PageView = {
      ...{ shown: published.shown, lang: published.document.lang, headingShift: 1 },
      address: (piece, { name }) => `/api/guide-copies/${id}/pages/${pageId}/${piece}/${name}`,
    }
    return [{ title: published.document.title, html: renderPage(published.document, view) }]
  })
}

interface CopyFile {
  readonly id: string
  /** The page that it stands on; null for the copy itself. */
  readonly pageId: string | null
  readonly piece: string
  readonly handOut: string
}

/** Finds a file that a copy, or a page in it, hands out to its readers; null for everybody else. */
export async function findCopyFile(
  reader: Reader,
  actor: PersonActor,
  { id, pageId, piece, handOut }: CopyFile,
): Promise<FileAnswer | null> {
  const { ownerId } = await getRead(reader, actor, id)
  const owner = ownerActor(ownerId)
  const { document, shown } = await getDraft(reader, owner, id)
  const onPage = pageId !== null && pageIdsOf(document).includes(pageId) ? [pageId] : []
  const [page] = await listOwnPages(reader, owner, onPage)
  const from = pageId === null ? { document, shown } : page?.published
  const found =
    from &&
    handOutsOf(from.document, from.shown).find((one) => one.pieceId === piece && one.handOut.name === handOut)
  return found ? findHandedOut(reader, { ownerId, handOut: found.handOut }) : null
}

/** Says something about a copy that one follows. @returns the copy with all that was said of it */
export function giveFeedback(
  on: Writable,
  actor: PersonActor,
  id: string,
  feedback: NewFeedbackOnCopy,
): Promise<GuideCopyReading> {
  return inTransaction(on, async (trx) => {
    const copy = await getRead(trx, actor, id)
    if (copy.ownerId === actor.personId) throw new AppError('forbidden', 'not-allowed')
    await insertFeedback(trx, actor, id, feedback)
    const { title } = await trx.sql('things').where({ id }).first('title')
    const by = (await listShownNames(trx, [actor.personId])).get(actor.personId) ?? ''
    await tellNews(trx, { personId: copy.ownerId, kind: 'guide-feedback', params: { copyId: id, title, by } })
    return readCopy(trx, actor, id)
  })
}

async function getRead(reader: Reader, actor: PersonActor, id: string): Promise<CopyRow> {
  const copy = await findReadCopy(reader, actor, id)
  if (!copy) throw new AppError('not-found', 'not-found')
  return copy
}
