// Background work on evidence: making renditions, reading what files say, following documents, sweeping.
import { readerOf } from '@valise/core/evidence'
import { inTransaction } from '../database/index.ts'
import { ProcessBurst } from '../jobs/index.ts'
import type { JobHandler, JobPayload } from '../jobs/index.ts'
import type { EvidenceServices } from './services.ts'
import { saveSimilarity } from './alikeStore.ts'
import { unexamined } from './examineFile.ts'
import type { Examined } from './examineFile.ts'
import {
  EXAMINE_VERSION,
  INDEX_EVIDENCE,
  READ_VERSION,
  RENDER_RECIPE,
  RENDER_VERSION,
  SWEEP,
} from './jobNames.ts'
import { enqueueReading, saveExamined } from './saveFile.ts'
import { unread } from './readInside.ts'
import type { ReadFile } from './readInside.ts'
import { giveUpRecipe, renderRecipe } from './recipeService.ts'
import type { VersionOfItem } from './recipeService.ts'
import type { RenderedPicture } from './renderPicture.ts'
import { sweep } from './sweep.ts'
import { findVersion, listUnread, saveFound, saveRenditions, saveShownSize } from './versionStore.ts'
import type { UnreadVersion } from './versionStore.ts'
import { indexWords, listUnindexed, saveInside } from './wordsStore.ts'

/** Returns the handlers of the jobs on evidence. */
export function evidenceJobs(services: EvidenceServices): Readonly<Record<string, JobHandler>> {
  return {
    [EXAMINE_VERSION]: handlerOf(
      (of) => examineVersion(services, of),
      (of) => saveExamination(services, of, unexamined),
    ),
    [RENDER_VERSION]: handlerOf(
      (of) => renderVersion(services, of),
      (of, isBurst) => {
        const problem = isBurst ? 'picture-too-large' : 'picture-damaged'
        return saveRendering(services, of, { made: [], problem, hash: null })
      },
    ),
    [RENDER_RECIPE]: handlerOf(
      (of, revision) => renderRecipe(services, of, revision),
      (of, _isBurst, revision) => giveUpRecipe(services, of, revision),
    ),
    [READ_VERSION]: handlerOf(
      (of) => readVersion(services, of),
      (of, isBurst) => {
        const problem = isBurst ? 'document-too-large' : 'document-damaged'
        return saveReading(services, of, { ...unread, problem }, null)
      },
    ),
    [INDEX_EVIDENCE]: { run: () => indexEverything(services) },
    [SWEEP]: { run: () => sweep(services) },
  }
}

/** A handler for work on one version. */
function handlerOf(
  run: (of: VersionOfItem, revision: number) => Promise<void>,
  giveUp: (of: VersionOfItem, isBurst: boolean, revision: number) => Promise<void>,
): JobHandler {
  const ofPayload = ({ evidenceId, n }: JobPayload): VersionOfItem => ({
    id: String(evidenceId),
    n: Number(n),
  })
  return {
    run: (payload) => run(ofPayload(payload), Number(payload['revision'])),
    giveUp: (payload, error) =>
      giveUp(ofPayload(payload), error instanceof ProcessBurst, Number(payload['revision'])),
  }
}

/**
 * Schedules the sweep and the reading of files that an older version of Valise left unread, unless already scheduled.
 */
export function planSweep({ database, jobs }: EvidenceServices): Promise<void> {
  return inTransaction(database, async (trx) => {
    for (const kind of [SWEEP, INDEX_EVIDENCE])
      await jobs.enqueue(trx, { kind, payload: {}, dedupeKey: kind })
  })
}

async function examineVersion(services: EvidenceServices, of: VersionOfItem): Promise<void> {
  const version = await findVersion(services.database.reader(), of.id, of.n)
  if (!version) return
  const { fileSha256: sha256, bytes, fileName, ownerId: personId } = version
  const turn = { lane: 'jobs', personId } as const
  await saveExamination(
    services,
    of,
    await services.workers.run('examine', { sha256, bytes, fileName }, turn),
  )
}

async function saveExamination(
  { database, jobs }: EvidenceServices,
  of: VersionOfItem,
  examined: Examined,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, of.id, of.n)
    if (version) await saveExamined(trx, jobs, version, examined)
  })
}

async function renderVersion(services: EvidenceServices, of: VersionOfItem): Promise<void> {
  const version = await findVersion(services.database.reader(), of.id, of.n)
  // Removed for good meanwhile.
  if (!version) return
  const turn = { lane: 'jobs', personId: version.ownerId } as const
  const rendered = await services.workers.run('render', { sha256: version.fileSha256 }, turn)
  await saveRendering(services, of, rendered)
}

async function saveRendering(
  { database }: EvidenceServices,
  of: VersionOfItem,
  rendered: RenderedPicture,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, of.id, of.n)
    if (!version) return
    await saveRenditions(trx, version, rendered)
    await saveSimilarity(trx, version, rendered.hash)
  })
}

async function readVersion(services: EvidenceServices, of: VersionOfItem): Promise<void> {
  const { database, workers } = services
  const version = await findVersion(database.reader(), of.id, of.n)
  if (!version) return
  const { fileSha256: sha256, bytes, mime, ownerId: personId } = version
  const turn = { lane: 'jobs', personId } as const
  const read = await workers.run('read', { sha256, bytes, mime }, turn)
  const rendered = read.picture && (await workers.run('render', { sha256: read.picture.sha256 }, turn))
  await saveReading(services, of, read, rendered)
}

async function saveReading(
  { database }: EvidenceServices,
  of: VersionOfItem,
  read: ReadFile,
  rendered: RenderedPicture | null,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, of.id, of.n)
    if (!version) return
    if (version.preview === 'making' || rendered)
      await saveRenditions(trx, version, { made: rendered?.made ?? [], problem: null })
    const screen = rendered?.made.find(({ kind }) => kind === 'screen')
    if (screen) await saveShownSize(trx, version, screen)
    const { pages, encoding, problem } = read
    await saveFound(trx, version, { pages, encoding, textState: 'read', previewProblem: problem })
    await saveInside(trx, version, read)
    await indexWords(trx, of.id)
  })
}

const AT_ONCE = 200

/** Schedules the indexing of items older than the index of words, again and again until none is left. */
export async function indexEverything({ database, jobs }: EvidenceServices): Promise<void> {
  for (;;) {
    const isDone = await inTransaction(database, async (trx) => {
      const ids = await listUnindexed(trx, AT_ONCE)
      for (const id of ids) await indexWords(trx, id)
      return ids.length < AT_ONCE
    })
    if (isDone) break
  }
  for (let after: UnreadVersion | null = null; ;) {
    const unreadOnes: UnreadVersion[] = await inTransaction(database, async (trx) => {
      const found = await listUnread(trx, after, AT_ONCE)
      for (const version of found) {
        if (readerOf(version.mime) !== null) await enqueueReading(trx, jobs, version)
        else await saveFound(trx, version, nothingInside)
      }
      return found
    })
    after = unreadOnes.at(-1) ?? null
    if (unreadOnes.length < AT_ONCE) break
  }
}

const nothingInside = { textState: 'none' } as const
