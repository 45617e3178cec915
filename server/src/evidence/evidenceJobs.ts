// Background work on evidence: making renditions, reading what files say, following documents, sweeping.
import { readerOf } from '@valise/core/evidence'
import { inTransaction } from '../database/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import type { Services } from '../services.ts'
import { noteLooks } from './alikeStore.ts'
import { INDEX_EVIDENCE, READ_VERSION, RENDER_RECIPE, RENDER_VERSION, SWEEP } from './jobNames.ts'
import { enqueueReading } from './keepFile.ts'
import { unread } from './readInside.ts'
import type { ReadFile } from './readInside.ts'
import { giveUpRecipe, renderRecipe } from './recipeService.ts'
import type { RenderedPicture } from './renderPicture.ts'
import { sweep } from './sweep.ts'
import { findVersion, listUnread, saveFound, saveRenditions, saveShownSize } from './versionStore.ts'
import { indexWords, listUnindexed, saveInside } from './wordsStore.ts'

/** Who does which kind of work on evidence. */
export function evidenceJobs(services: Services): Readonly<Record<string, JobHandler>> {
  return {
    [RENDER_VERSION]: {
      run: ({ evidenceId, n }) => renderVersion(services, String(evidenceId), Number(n)),
      giveUp: ({ evidenceId, n }) =>
        keepRenditions(services, String(evidenceId), Number(n), {
          made: [],
          problem: 'picture-damaged',
          hash: null,
        }),
    },
    [RENDER_RECIPE]: {
      run: ({ evidenceId, n, revision }) =>
        renderRecipe(services, { id: String(evidenceId), n: Number(n) }, Number(revision)),
      giveUp: ({ evidenceId, n, revision }) =>
        giveUpRecipe(services, { id: String(evidenceId), n: Number(n) }, Number(revision)),
    },
    [READ_VERSION]: {
      run: ({ evidenceId, n }) => readVersion(services, String(evidenceId), Number(n)),
      giveUp: ({ evidenceId, n }) =>
        keepReading(
          services,
          String(evidenceId),
          Number(n),
          { ...unread, problem: 'document-damaged' },
          null,
        ),
    },
    [INDEX_EVIDENCE]: { run: () => indexEverything(services) },
    [SWEEP]: { run: () => sweep(services) },
  }
}

/** Has the sweep begin, and whatever an older Valise left unread, where it is not on its way already. */
export function planSweep({ database, jobs }: Services): Promise<void> {
  return inTransaction(database, async (trx) => {
    for (const kind of [SWEEP, INDEX_EVIDENCE])
      await jobs.enqueue(trx, { kind, payload: {}, dedupeKey: kind })
  })
}

async function renderVersion(services: Services, evidenceId: string, n: number): Promise<void> {
  const version = await findVersion(services.database.reader(), evidenceId, n)
  // Removed for good meanwhile.
  if (!version) return
  const rendered = await services.workers.run('render', { sha256: version.fileSha256 })
  await keepRenditions(services, evidenceId, n, rendered)
}

async function keepRenditions(
  { database }: Services,
  evidenceId: string,
  n: number,
  rendered: RenderedPicture,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, evidenceId, n)
    if (!version) return
    await saveRenditions(trx, version, rendered)
    await noteLooks(trx, version, rendered.hash)
  })
}

async function readVersion(services: Services, evidenceId: string, n: number): Promise<void> {
  const version = await findVersion(services.database.reader(), evidenceId, n)
  if (!version) return
  const { fileSha256: sha256, bytes, mime } = version
  const read = await services.readInside({ sha256, bytes, mime })
  const rendered = read.picture && (await services.workers.run('render', { sha256: read.picture.sha256 }))
  await keepReading(services, evidenceId, n, read, rendered)
}

async function keepReading(
  { database }: Services,
  evidenceId: string,
  n: number,
  read: ReadFile,
  rendered: RenderedPicture | null,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, evidenceId, n)
    if (!version) return
    if (version.preview === 'making' || rendered)
      await saveRenditions(trx, version, { made: rendered?.made ?? [], problem: null })
    const screen = rendered?.made.find(({ kind }) => kind === 'screen')
    if (screen) await saveShownSize(trx, version, screen)
    const { pages, encoding, problem } = read
    await saveFound(trx, version, { pages, encoding, textState: 'read', previewProblem: problem })
    await saveInside(trx, version, read)
    await indexWords(trx, evidenceId)
  })
}

const AT_ONCE = 200

/** What came in before there was an index of words. Again and again until nothing is left. */
export async function indexEverything({ database, jobs }: Services): Promise<void> {
  for (;;) {
    const isDone = await inTransaction(database, async (trx) => {
      const ids = await listUnindexed(trx, AT_ONCE)
      for (const id of ids) await indexWords(trx, id)
      return ids.length < AT_ONCE
    })
    if (isDone) break
  }
  await inTransaction(database, async (trx) => {
    for (const { evidenceId, n, mime } of await listUnread(trx, 5000)) {
      if (readerOf(mime) !== null) await enqueueReading(trx, jobs, evidenceId, n)
      else await saveFound(trx, { evidenceId, n }, nothingInside)
    }
  })
}

const nothingInside = { textState: 'none' } as const
