// Evidence: reading and changing one's own items, the tray, the bin.
import { cleanTags, MOST_IN_TRAY } from '@valise/core/evidence'
import type { Evidence, EvidenceChange, Rights, RightsForMany } from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { enqueueRendering } from './keepFile.ts'
import * as store from './store.ts'
import { findVersionOf, insertVersion } from './versionStore.ts'

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
    await getKept(trx, actor, id)
    const columns = {
      ...(change.title !== undefined && { title: toPlainLine(change.title) }),
      ...(change.statement !== undefined && { statement: change.statement.trim() }),
      ...(change.rights && { rights: tidyRights(change.rights) }),
    }
    if (!(await store.updateEvidence(trx, id, revision, columns))) throw new AppError('stale', 'stale')
    if (change.tags) await store.replaceTags(trx, actor, id, cleanTags(change.tags))
    return getEvidence(trx, actor, id)
  })
}

/** Says the same of several things at once. All of them, or none where one is not one's own. */
export function declareRights(
  on: Writable,
  actor: PersonActor,
  { ids, rights }: RightsForMany,
): Promise<void> {
  return inTransaction(on, async (trx) => {
    const wanted = [...new Set(ids)]
    const kept = await store.listKeptIds(trx, actor, wanted)
    if (kept.length !== wanted.length) throw new AppError('not-found', 'not-found')
    for (const id of kept) await store.updateEvidence(trx, id, null, { rights: tidyRights(rights) })
  })
}

/** Makes the file of an earlier version the newest one again, as a version of its own: what was in between stays. */
export function restoreVersion(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  id: string,
  revision: number,
  n: number,
): Promise<Evidence> {
  return inTransaction(on, async (trx) => {
    const present = await getKept(trx, actor, id)
    const earlier = await findVersionOf(trx, actor.personId, id, n)
    if (!earlier) throw new AppError('not-found', 'no-such-version')
    const next = (present.versions[0]?.n ?? 0) + 1
    if (!(await store.updateEvidence(trx, id, revision, { currentVersion: next })))
      throw new AppError('stale', 'stale')
    const preview = earlier.preview === 'none' ? 'none' : 'making'
    await insertVersion(trx, { ...earlier, n: next, preview })
    if (preview === 'making') await enqueueRendering(trx, jobs, id, next)
    return getEvidence(trx, actor, id)
  })
}

/** Putting something into the bin that lies there already leaves it there, with its day. */
export function putIntoBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    const { binnedAt } = await getEvidence(trx, actor, id)
    if (binnedAt === null) await store.updateEvidence(trx, id, null, { binnedAt: trx.now })
  })
}

export function takeOutOfBin(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    await getEvidence(trx, actor, id)
    await store.updateEvidence(trx, id, null, { binnedAt: null })
  })
}

/** Removes for good what is in the bin, before its days are over. */
export function removeEvidence(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    const { binnedAt } = await getEvidence(trx, actor, id)
    if (binnedAt === null) throw new AppError('conflict', 'not-in-bin')
    await store.deleteEvidence(trx, id)
  })
}

export function putIntoTray(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    const { inTray } = await getKept(trx, actor, id)
    if (inTray) return
    if ((await store.countTray(trx, actor)) >= MOST_IN_TRAY)
      throw new AppError('conflict', 'tray-full', { params: { most: MOST_IN_TRAY } })
    await store.insertTrayItem(trx, actor, id)
  })
}

export function takeOutOfTray(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    await getEvidence(trx, actor, id)
    await store.deleteTrayItem(trx, actor, id)
  })
}

async function getKept(trx: Trx, actor: PersonActor, id: string): Promise<Evidence> {
  const found = await getEvidence(trx, actor, id)
  if (found.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return found
}

function tidyRights(rights: Rights): Rights {
  if (rights.state !== 'licensed') return rights
  const tidy = { ...rights, maker: toPlainLine(rights.maker), source: toPlainLine(rights.source) }
  const missing = (['maker', 'source'] as const).filter((name) => tidy[name] === '')
  if (missing.length === 0) return tidy
  const fields = missing.map((name) => ({ path: `/rights/${name}`, reason: 'missing' as const }))
  throw new AppError('invalid', 'invalid-input', { fields })
}
