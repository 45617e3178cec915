// How far the stages of copies have come, and which were opened by hand, in the database.
import type { StageProgress } from '@valise/core/guides'
import type { Instant } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export interface StageRow {
  readonly copyId: string
  readonly stageId: string
  readonly progress: StageProgress
  /** Of what is answered in it, so that a change is told from none. */
  readonly contentHash: string
  readonly changedAt: Instant
}

export async function listStages(reader: Reader, copyIds: readonly string[]): Promise<StageRow[]> {
  if (copyIds.length === 0) return []
  return reader.sql('guideStages').modify(isOneOf, 'copyId', copyIds).orderBy(['copyId', 'stageId'])
}

export type StageProgressRow = Omit<StageRow, 'contentHash'>

/** Lists how far stages have come, of a whole class as fast as of one. */
export async function listProgress(reader: Reader, copyIds: readonly string[]): Promise<StageProgressRow[]> {
  if (copyIds.length === 0) return []
  return reader
    .sql('guideStages')
    .modify(isOneOf, 'copyId', copyIds)
    .orderBy(['copyId', 'stageId'])
    .select('copyId', 'stageId', 'progress', 'changedAt')
}

/** Saves how far a stage has come. */
export async function saveStage(trx: Trx, stage: StageRow): Promise<void> {
  const { copyId, stageId, ...row } = stage
  await trx
    .sql('guideStages')
    .insert({ copyId, stageId, ...row })
    .onConflict(['copyId', 'stageId'])
    .merge(row)
}

interface OpeningRow {
  readonly guideId: string
  readonly classId: string
  readonly stageId: string
  readonly at: Instant
}

export async function listOpenings(reader: Reader, guideIds: readonly string[]): Promise<OpeningRow[]> {
  if (guideIds.length === 0) return []
  return reader.sql('guideOpenings').modify(isOneOf, 'guideId', guideIds).orderBy(['guideId', 'stageId'])
}

/** When the stages of a guide were opened by hand for a class. */
export function openedIn(
  openings: readonly OpeningRow[],
  guideId: string,
  classId: string,
): ReadonlyMap<string, Instant> {
  const some = openings.filter((one) => one.guideId === guideId && one.classId === classId)
  return new Map(some.map(({ stageId, at }) => [stageId, at]))
}

export async function openStage(trx: Trx, opening: Omit<OpeningRow, 'at'>): Promise<void> {
  await trx
    .sql('guideOpenings')
    .insert({ ...opening, at: trx.now })
    .onConflict(['guideId', 'classId', 'stageId'])
    .ignore()
}

export async function closeStage(trx: Trx, opening: Omit<OpeningRow, 'at'>): Promise<void> {
  await trx.sql('guideOpenings').where(opening).delete()
}
