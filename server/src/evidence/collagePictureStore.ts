// The pictures in collages: what a collage shows, who made it, and which collages show a picture.
import { creditLine } from '@valise/core/evidence'
import type { CollagePicture, Rights } from '@valise/core/evidence'
import type { ShownPicture } from '@valise/core/pictures'
import { addMinutes } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { replaceUses } from '../uses/index.ts'
import { RENDER_COLLAGE } from './jobNames.ts'

interface CollageVersion {
  readonly evidenceId: string
  readonly n: number
}

/** While somebody moves things about, saves follow each other quickly: only the last of them is painted. */
const SETTLED_MINUTES = 2.5 / 60

/** Records the pictures in a version of a collage; missing items and items of others are left out. */
export async function replaceCollagePictures(
  trx: Trx,
  { evidenceId: collageId, n }: CollageVersion,
  ownerId: string,
  pictures: readonly ShownPicture[],
): Promise<void> {
  const { sql } = trx
  await sql('collagePictures').where({ collageId, n }).delete()
  const own: { id: string }[] = await sql('evidence')
    .where({ ownerId })
    .modify(
      isOneOf,
      'id',
      pictures.map((picture) => picture.evidenceId),
    )
    .select('id')
  const rows = pictures.flatMap((picture, place) =>
    own.some(({ id }) => id === picture.evidenceId)
      ? [{ collageId, n, pictureId: picture.evidenceId, pictureN: picture.n, place }]
      : [],
  )
  for (let from = 0; from < rows.length; from += 100)
    await sql('collagePictures').insert(rows.slice(from, from + 100))
  await recordUses(trx, collageId)
}

/** A collage uses what its newest version shows. */
async function recordUses(trx: Trx, collageId: string): Promise<void> {
  const pictureIds = await trx
    .sql('collagePictures')
    .join('evidence', 'evidence.id', 'collagePictures.collageId')
    .where({ collageId })
    .whereRaw('?? = ??', ['collagePictures.n', 'evidence.currentVersion'])
    .pluck<string[]>('pictureId')
  await replaceUses(trx, collageId, pictureIds)
}

/** Lists the pictures in a version of a collage, each item once, in reading order. */
export async function listCollagePictures(
  reader: Reader,
  collageId: string,
  n: number,
): Promise<CollagePicture[]> {
  const parts = await listPicturesOfCollages(reader, [{ evidenceId: collageId, n }])
  return parts.map(({ collageId: _, n: __, ...picture }) => picture)
}

/** Lists the pictures of several collages at once. */
export async function listPicturesOfCollages(
  reader: Reader,
  collages: readonly CollageVersion[],
): Promise<(CollagePicture & { readonly collageId: string; readonly n: number })[]> {
  if (collages.length === 0) return []
  const rows: { id: string; collageId: string; n: number; title: string; rights: string }[] = await reader
    .sql('collagePictures')
    .join('evidence', 'evidence.id', 'collagePictures.pictureId')
    .join('things', 'things.id', 'evidence.id')
    .modify(
      isOneOf,
      'collageId',
      collages.map(({ evidenceId }) => evidenceId),
    )
    .orderBy(['collageId', 'n', 'place'])
    .select('collageId', 'n', 'evidence.id', 'things.title', 'rights')
  const wanted = rows.filter(({ collageId, n }) =>
    collages.some((one) => one.evidenceId === collageId && one.n === n),
  )
  const first = wanted.filter(
    (row, at) =>
      wanted.findIndex((one) => one.id === row.id && one.collageId === row.collageId && one.n === row.n) ===
      at,
  )
  return first.map(({ rights: text, ...row }) => {
    const rights: Rights = JSON.parse(text)
    return { ...row, rightsState: rights.state, credit: creditLine(row.title, rights) }
  })
}

/**
 * Has the collages rendered again that show a changed picture.
 *
 * @param isHidden whether something must not be seen any more: then no collage is given to others until it is
 *   rendered again; otherwise only the newest version of each is rendered, and what others were given stays
 */
export async function refreshCollagesWith(
  trx: Trx,
  jobs: Jobs,
  pictureId: string,
  pictureN: number | null,
  isHidden: boolean,
): Promise<void> {
  const { sql } = trx
  const rows: { collageId: string; n: number; currentVersion: number }[] = await sql('collagePictures')
    .join('evidence', 'evidence.id', 'collagePictures.collageId')
    .where({ pictureId, ...(pictureN !== null && { pictureN }) })
    .select('collageId', 'n', 'currentVersion')
    .distinct()
  for (const { collageId, n, currentVersion } of rows)
    if (isHidden || n === currentVersion)
      await remakeCollage(trx, jobs, { evidenceId: collageId, n }, isHidden)
}

/** Marks a collage as changed and schedules its rendering for when the editing pauses. */
export async function remakeCollage(
  trx: Trx,
  jobs: Jobs,
  { evidenceId, n }: CollageVersion,
  isHidden = false,
): Promise<void> {
  const next = trx.sql.raw('"recipeRevision" + 1')
  await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n })
    .update({ recipeRevision: next, preview: 'making', ...(isHidden && { concealRevision: next }) })
  await enqueuePainting(trx, jobs, { evidenceId, n }, isHidden)
}

export async function enqueuePainting(
  trx: Trx,
  jobs: Jobs,
  { evidenceId, n }: CollageVersion,
  isHidden = false,
): Promise<void> {
  const row = await trx.sql('evidenceVersions').where({ evidenceId, n }).first('recipeRevision', 'ownerId')
  const revision = Number(row?.recipeRevision ?? 0)
  const runAt = isHidden ? trx.now : addMinutes(trx.now, SETTLED_MINUTES)
  const dedupeKey = `${RENDER_COLLAGE}:${evidenceId}:${n}:${revision}`
  const job = { kind: RENDER_COLLAGE, payload: { evidenceId, n, revision }, dedupeKey, runAt }
  await jobs.enqueue(trx, { ...job, ...(row && { personId: row.ownerId }) })
}

/** Copies the pictures of an earlier version to a new one and schedules its rendering. */
export async function carryPicturesOver(
  trx: Trx,
  jobs: Jobs,
  evidenceId: string,
  from: number,
  n: number,
): Promise<void> {
  const rows = await trx.sql('collagePictures').where({ collageId: evidenceId, n: from })
  if (rows.length > 0) await trx.sql('collagePictures').insert(rows.map((row) => ({ ...row, n })))
  await recordUses(trx, evidenceId)
  await enqueuePainting(trx, jobs, { evidenceId, n }, true)
}
