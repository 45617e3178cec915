// Evidence: reading and changing one's own items, one or many at once; the tray.
import { cleanTags, isShownAsPicture, MOST_IN_TRAY, toTagKey } from '@valise/core/evidence'
import type {
  Evidence,
  EvidenceChange,
  RenamedTag,
  Rights,
  RightsForMany,
  TagsForMany,
} from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { localToInstant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { getSchool } from '../people/index.ts'
import { carryPicturesOver } from './collagePictureStore.ts'
import { enqueueReading, enqueueRendering } from './saveFile.ts'
import { findLanding } from './landingStore.ts'
import * as store from './store.ts'
import type { EvidenceColumns } from './store.ts'
import { carryRecipeOver } from './recipeService.ts'
import { listTagged, listTagsOf, renameTagEverywhere, replaceTags } from './tagStore.ts'
import { countTray, deleteTrayItem, insertTrayItem } from './trayStore.ts'
import { findVersionOf, insertVersion } from './versionStore.ts'
import { indexWords } from './wordsStore.ts'

export async function getEvidence(reader: Reader, actor: PersonActor, id: string): Promise<Evidence> {
  const found = await store.findEvidence(reader, actor, id)
  if (!found) throw new AppError('not-found', 'not-found')
  return found
}

export function updateEvidence(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  change: EvidenceChange,
): Promise<Evidence> {
  return inTransaction(on, async (trx) => {
    await getStored(trx, actor, id)
    const columns = await toColumns(trx, actor, change)
    if (!(await store.updateEvidence(trx, id, revision, columns))) throw new AppError('stale', 'stale')
    if (change.tags) await replaceTags(trx, actor, id, cleanTags(change.tags))
    await indexWords(trx, id)
    return getEvidence(trx, actor, id)
  })
}

async function toColumns(trx: Trx, actor: PersonActor, change: EvidenceChange): Promise<EvidenceColumns> {
  const { caption, title, rights, alternativeText, transcript, classId, assignmentId, madeOn } = change
  return {
    ...(title !== undefined && { title: toPlainLine(title) }),
    ...(caption !== undefined && { caption: toPlainLine(caption) }),
    ...(rights && { rights: tidyRights(rights) }),
    ...(alternativeText !== undefined && { alternativeText: alternativeText.trim() }),
    ...(transcript !== undefined && { transcript: transcript.trim() }),
    ...(madeOn !== undefined && { made: await noonOf(trx, madeOn) }),
    ...((classId !== undefined || assignmentId !== undefined) &&
      (await findLanding(trx, actor, {
        ...(classId && { classId }),
        ...(assignmentId && { assignmentId }),
      }))),
  }
}

/** Whoever knows the day and not the hour means some time in the middle of it. */
async function noonOf(trx: Trx, day: string): Promise<NonNullable<EvidenceColumns['made']>> {
  const { timeZone: zone } = await getSchool(trx)
  const at = localToInstant(`${day}T12:00`, zone, 'from')
  if (localToInstant(`${day}T00:00`, zone, 'from') > trx.now)
    throw new AppError('invalid', 'invalid-input', { fields: [{ path: '/madeOn', reason: 'still-to-come' }] })
  return { at: at < trx.now ? at : trx.now, zone }
}

/** Saves the same rights for several items: for all of them, or for none when one is not one's own. */
export function declareRights(
  on: Writable,
  actor: PersonActor,
  { ids, rights }: RightsForMany,
): Promise<void> {
  return inTransaction(on, async (trx) => {
    for (const id of await getAllLive(trx, actor, ids))
      await store.updateEvidence(trx, id, null, { rights: tidyRights(rights) })
  })
}

/** Adds tags to several items. */
export function tagMany(on: Writable, actor: PersonActor, { ids, add }: TagsForMany): Promise<void> {
  return inTransaction(on, async (trx) => {
    for (const id of await getAllLive(trx, actor, ids)) {
      await replaceTags(trx, actor, id, cleanTags([...(await listTagsOf(trx, id)), ...add]))
      await store.updateEvidence(trx, id, null, {})
      await indexWords(trx, id)
    }
  })
}

/** Renames a tag on all one's items; a name that is in use merges the two tags. */
export function renameTag(on: Writable, actor: PersonActor, { tag, name }: RenamedTag): Promise<void> {
  return inTransaction(on, async (trx) => {
    const [clean = ''] = cleanTags([name])
    if (clean === '')
      throw new AppError('invalid', 'invalid-input', { fields: [{ path: '/name', reason: 'missing' }] })
    const tagged = await listTagged(trx, actor, toTagKey(tag))
    if (tagged.length === 0) throw new AppError('not-found', 'no-such-tag')
    await renameTagEverywhere(trx, actor, toTagKey(tag), clean)
    for (const id of tagged) await indexWords(trx, id)
  })
}

/** Makes the file of an earlier version the newest one, as a new version; those between stay. */
export function restoreVersion(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  id: string,
  revision: number,
  n: number,
): Promise<Evidence> {
  return inTransaction(on, async (trx) => {
    const present = await getStored(trx, actor, id)
    const earlier = await findVersionOf(trx, actor.personId, id, n)
    if (!earlier) throw new AppError('not-found', 'no-such-version')
    const next = (present.versions[0]?.n ?? 0) + 1
    if (!(await store.updateEvidence(trx, id, revision, { currentVersion: next })))
      throw new AppError('stale', 'stale')
    const isPicture = earlier.preview !== 'none' && isShownAsPicture(present.kind)
    const isRead = earlier.textState !== 'none'
    const preview = isPicture || (isRead && earlier.preview === 'there') ? 'making' : 'none'
    const { recipeRevision: _, concealRevision: __, takenWidth, takenHeight, ...content } = earlier
    const size = { width: takenWidth ?? earlier.width, height: takenHeight ?? earlier.height }
    await insertVersion(trx, { ...content, ...size, n: next, preview, textState: isRead ? 'unread' : 'none' })
    if (present.kind === 'collage') await carryPicturesOver(trx, jobs, id, n, next)
    else if (isPicture)
      await enqueueRendering(trx, jobs, { evidenceId: id, n: next, ownerId: actor.personId })
    if (present.kind === 'picture') await carryRecipeOver(trx, jobs, earlier, next)
    if (isRead) await enqueueReading(trx, jobs, { evidenceId: id, n: next, ownerId: actor.personId })
    await indexWords(trx, id)
    return getEvidence(trx, actor, id)
  })
}

export function putIntoTray(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return carryMany(on, actor, [id])
}

/** Puts several items into the tray: all of them, or none when one is not one's own or they do not all fit. */
export function carryMany(on: Writable, actor: PersonActor, ids: readonly string[]): Promise<void> {
  return inTransaction(on, async (trx) => {
    const live = await getAllLive(trx, actor, ids)
    for (const id of live) await insertTrayItem(trx, actor, id)
    if ((await countTray(trx, actor)) > MOST_IN_TRAY)
      throw new AppError('conflict', 'tray-full', { params: { most: MOST_IN_TRAY } })
  })
}

export function takeOutOfTray(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    await getEvidence(trx, actor, id)
    await deleteTrayItem(trx, actor, id)
  })
}

async function getStored(trx: Trx, actor: PersonActor, id: string): Promise<Evidence> {
  const found = await getEvidence(trx, actor, id)
  if (found.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return found
}

async function getAllLive(trx: Trx, actor: PersonActor, ids: readonly string[]): Promise<string[]> {
  const [only] = ids
  // For a single item the answer says whether it is missing or in the bin.
  if (ids.length === 1 && only !== undefined) return [(await getStored(trx, actor, only)).id]
  const wanted = [...new Set(ids)]
  const live = await store.listLiveIds(trx, actor, wanted)
  if (live.length !== wanted.length) throw new AppError('not-found', 'not-found')
  return live
}

function tidyRights(rights: Rights): Rights {
  if (rights.state !== 'licensed') return rights
  const tidy = { ...rights, maker: toPlainLine(rights.maker), source: toPlainLine(rights.source) }
  const missing = (['maker', 'source'] as const).filter((name) => tidy[name] === '')
  if (missing.length === 0) return tidy
  const fields = missing.map((name) => ({ path: `/rights/${name}`, reason: 'missing' as const }))
  throw new AppError('invalid', 'invalid-input', { fields })
}
