// The picture bench: saves recipes with every change, and renders in the background.
import { canBeRendered } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { concealsMore, decideRecipe, mergeConcealment } from '@valise/core/pictures'
import type { SavedRecipe, PictureRecipe, Size } from '@valise/core/pictures'
import { AppError, assertAllowed } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import type { EvidenceServices } from './services.ts'
import { refreshCollagesWith } from './collagePictureStore.ts'
import { RENDER_RECIPE } from './jobNames.ts'
import {
  deleteEarlierRenders,
  deleteUnconcealed,
  getRecipe,
  insertRecipe,
  listRenders,
  updateRender,
} from './recipeStore.ts'
import {
  findNewestVersion,
  findVersion,
  findVersionOf,
  saveRender,
  saveShownSize,
  setPreview,
} from './versionStore.ts'
import type { StoredVersion } from './versionStore.ts'

/** While somebody moves a handle, recipes follow each other quickly: only the last of them is carried out. */
const SETTLED_MINUTES = 1.2 / 60

export interface VersionOfItem {
  readonly id: string
  readonly n: number
}

/**
 * Returns a recipe. @throws AppError `not-found` for versions of others, `unsupported` for what is not a picture that
 * can be opened
 */
export async function readRecipe(
  reader: Reader,
  actor: PersonActor,
  of: VersionOfItem,
): Promise<SavedRecipe> {
  const version = await getPicture(reader, actor, of)
  const recipe = await getRecipe(reader, version, version.recipeRevision)
  const { recipeRevision: revision, preview } = version
  return { recipe, revision, original: takenSize(version), isMade: preview !== 'making' }
}

/**
 * Saves a recipe as the next revision. @throws AppError `invalid` when it cannot be run, `stale` when another window
 * saved first
 */
export function saveRecipe(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  of: VersionOfItem,
  before: number,
  recipe: PictureRecipe,
): Promise<SavedRecipe> {
  return inTransaction(on, async (trx) => {
    const version = await getPicture(trx, actor, of)
    assertAllowed(decideRecipe(takenSize(version), recipe), 'invalid')
    await writeRecipe(trx, jobs, version, before, recipe)
    return readRecipe(trx, actor, of)
  })
}

/** Copies the recipe to a version with the same file, so that concealed regions stay concealed. */
export async function carryRecipeOver(trx: Trx, jobs: Jobs, from: StoredVersion, n: number): Promise<void> {
  if (from.recipeRevision === 0) return
  const recipe = await getRecipe(trx, from, from.recipeRevision)
  const version = await findVersion(trx, from.evidenceId, n)
  if (version) await writeRecipe(trx, jobs, version, 0, recipe)
}

/** Saves the recipe that a new picture came with. An invalid one is ignored: no photo is refused for it. */
export async function saveFirstRecipe(
  trx: Trx,
  jobs: Jobs,
  evidenceId: string,
  recipe: PictureRecipe,
): Promise<void> {
  const version = await findNewestVersion(trx, evidenceId)
  if (!version || version.width === null || version.previewProblem !== null) return
  if (decideRecipe(takenSize(version), recipe).allowed) await writeRecipe(trx, jobs, version, 0, recipe)
}

async function writeRecipe(
  trx: Trx,
  jobs: Jobs,
  version: StoredVersion,
  before: number,
  recipe: PictureRecipe,
): Promise<void> {
  const { evidenceId, n } = version
  const revision = before + 1
  const hidesMore = concealsMore(await getRecipe(trx, version, version.recipeRevision), recipe)
  const { width: takenWidth, height: takenHeight } = takenSize(version)
  const concealRevision = hidesMore ? revision : version.concealRevision
  const revisions = { recipeRevision: revision, concealRevision, takenWidth, takenHeight }
  if (!(await updateRender(trx, version, before, revisions))) throw new AppError('stale', 'stale')
  await insertRecipe(trx, version, revision, recipe)
  const dedupeKey = `${RENDER_RECIPE}:${evidenceId}:${n}:${revision}`
  const runAt = hidesMore ? trx.now : addMinutes(trx.now, SETTLED_MINUTES)
  const job = { kind: RENDER_RECIPE, payload: { evidenceId, n, revision }, dedupeKey, runAt }
  await jobs.enqueue(trx, { ...job, personId: version.ownerId })
  await refreshCollagesWith(trx, jobs, evidenceId, n, hidesMore)
}

async function getPicture(
  reader: Reader,
  actor: PersonActor,
  { id, n }: VersionOfItem,
): Promise<StoredVersion> {
  const version = await findVersionOf(reader, actor.personId, id, n)
  if (!version) throw new AppError('not-found', 'not-found')
  if (!canBeRendered(version.mime) || version.document !== null)
    throw new AppError('unsupported', 'not-a-picture')
  if (version.width === null || version.previewProblem !== null)
    throw new AppError('unsupported', 'picture-unreadable')
  return version
}

/** How large the picture came, upright. */
function takenSize({ width, height, takenWidth, takenHeight }: StoredVersion): Size {
  return { width: takenWidth ?? width ?? 1, height: takenHeight ?? height ?? 1 }
}

/**
 * Makes the renditions of the newest recipe, and renders earlier ones again where more is concealed by now.
 *
 * A job whose recipe is no longer the newest does nothing.
 */
export async function renderRecipe(
  services: EvidenceServices,
  of: VersionOfItem,
  revision: number,
): Promise<void> {
  const reader = services.database.reader()
  const version = await findVersion(reader, of.id, of.n)
  if (!version || version.recipeRevision !== revision) return
  const newest = await getRecipe(reader, version, revision)
  const renders = await listRenders(reader, version)
  const isMade = (recipeRevision: number) =>
    renders.some(
      (one) => one.recipeRevision === recipeRevision && one.concealRevision === version.concealRevision,
    )
  const held = [...new Set([revision, ...renders.map(({ recipeRevision }) => recipeRevision)])]
  for (const recipeRevision of held.filter((one) => !isMade(one))) {
    const recipe = mergeConcealment(await getRecipe(reader, version, recipeRevision), newest)
    await renderOne(services, version, recipeRevision, recipe)
  }
  await inTransaction(services.database, async (trx) => {
    const present = await findVersion(trx, of.id, of.n)
    if (!present || present.recipeRevision !== revision) return
    await deleteUnconcealed(trx, present)
    await deleteEarlierRenders(trx, present)
    await setPreview(trx, present, 'there', null)
  })
}

async function renderOne(
  { database, workers }: EvidenceServices,
  version: StoredVersion,
  recipeRevision: number,
  recipe: PictureRecipe,
): Promise<void> {
  const input = { sha256: version.fileSha256, recipe, original: takenSize(version) }
  const { made } = await workers.run('render', input, { lane: 'jobs', personId: version.ownerId })
  await inTransaction(database, async (trx) => {
    const present = await findVersion(trx, version.evidenceId, version.n)
    if (!present) return
    const { concealRevision } = version
    await saveRender(trx, version, made, { recipeRevision, concealRevision })
    const screen = made.find(({ kind }) => kind === 'screen')
    const isNewest = present.recipeRevision === recipeRevision
    if (screen && isNewest)
      await saveShownSize(trx, version, { width: screen.fullWidth, height: screen.fullHeight })
  })
}

/**
 * Runs after the last retry: the owner still sees the earlier rendition and can change the recipe; others get nothing
 * that conceals less.
 */
export async function giveUpRecipe(
  { database }: EvidenceServices,
  of: VersionOfItem,
  revision: number,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, of.id, of.n)
    if (version?.recipeRevision === revision) await setPreview(trx, version, 'there', null)
  })
}
