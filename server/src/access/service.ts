// Sharing: giving a pass, changing its time, ending it; and one's own things as somebody else meets them.
import { audienceDefinitionOf, decidePass, MOST_PASSES, prepareAccess } from '@valise/core/access'
import type { Audiences, LookAs, NewPass, Pass, PassChange, Viewer } from '@valise/core/access'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import type { ErrorCode } from '@valise/core/problems'
import { changesBetween } from '@valise/core/records'
import type { RecordAction, RecordChanges } from '@valise/core/records'
import { isWithin, toTimeWindow, windowState } from '@valise/core/time'
import type { Instant, TimeWindow } from '@valise/core/time'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { tellNews } from '../news/index.ts'
import { getSchool, listShownNames } from '../people/index.ts'
import { appendRecord } from '../records/index.ts'
import type { ServerKeys } from '../system/index.ts'
import { inOwnersTransaction, listOwnThings } from '../things/index.ts'
import { listAudiences } from './audienceStore.ts'
import { audienceStoreOf } from './audiences/audienceStores.ts'
import { makeLinkCode } from './linkCodes.ts'
import * as store from './passStore.ts'
import type { StoredPass } from './passStore.ts'
import { listAllowed } from './rulesStore.ts'
import { loadWorldOf } from './worldStore.ts'

/** The path of a link, before its code. */
export const OPEN_PATH = '/open/'

export async function getAudiences(reader: Reader, actor: PersonActor): Promise<Audiences> {
  const allowed = await allowedOf(reader, actor)
  return { allowed: [...allowed], ...(await listAudiences(reader, actor)) }
}

export async function listPasses(reader: Reader, keys: ServerKeys, actor: PersonActor): Promise<Pass[]> {
  const allowed = await allowedOf(reader, actor)
  return (await store.listOwnPasses(reader, actor)).map((pass) => toPass(pass, keys, allowed))
}

async function getPass(reader: Reader, keys: ServerKeys, actor: PersonActor, id: string): Promise<Pass> {
  return toPass(await getStored(reader, actor, id), keys, await allowedOf(reader, actor))
}

export function givePass(on: Writable, keys: ServerKeys, actor: PersonActor, wish: NewPass): Promise<Pass> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const [thing] = await listOwnThings(trx, actor, [wish.thing.kind], [wish.thing.id])
    if (!thing) throw new AppError('not-found', 'not-found')
    if (thing.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
    const window = await windowOf(trx, wish, null)
    await assertMayGive(trx, actor, wish, window)
    if ((await store.countPassesOn(trx, thing.id)) >= MOST_PASSES)
      throw new AppError('conflict', 'too-many-passes', { params: { most: MOST_PASSES } })
    const id = await store.insertPass(trx, actor, tidy(wish), window)
    const { audience, firstDay, lastDay } = wish
    const settings = { audience: audience.kind, firstDay, lastDay, thing: wish.thing.kind }
    await noteAct(trx, actor, 'pass-given', id, changesBetween({}, settings))
    const { personId } = store.toTarget(audience)
    // Whoever is named is told.
    if (personId !== null && isWithin(window, trx.now)) {
      const names = await listShownNames(trx, [actor.personId])
      const params = { name: names.get(actor.personId) ?? '', kind: wish.thing.kind, thingId: thing.id }
      await tellNews(trx, { personId, kind: 'shared-with-me', params })
    }
    return getPass(trx, keys, actor, id)
  })
}

export function changePass(
  on: Writable,
  keys: ServerKeys,
  actor: PersonActor,
  id: string,
  { revision, days }: { readonly revision: number; readonly days: PassChange },
): Promise<Pass> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const before = await getOpen(trx, actor, id)
    const window = await windowOf(trx, days, before.from)
    const wish = { ...window, audience: before.audience.kind, rights: before.rights }
    assertAllowed(decidePass(wish, await allowedOf(trx, actor), trx.now), 'conflict')
    const columns = { ...days, fromAt: window.from ?? trx.now, untilAt: window.until }
    await assertUpdated(store.updatePass(trx, id, revision, columns))
    const { firstDay, lastDay } = before
    await noteAct(trx, actor, 'pass-changed', id, changesBetween({ firstDay, lastDay }, { ...days }))
    return getPass(trx, keys, actor, id)
  })
}

/** Ends a pass now; a pass that has already ended stays as it is. */
export function endPass(on: Writable, keys: ServerKeys, actor: PersonActor, id: string): Promise<Pass> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const pass = await getStored(trx, actor, id)
    if (pass.state !== 'ended') {
      await assertUpdated(store.updatePass(trx, id, pass.revision, { endedAt: trx.now }))
      await noteAct(trx, actor, 'pass-ended', id)
    }
    return getPass(trx, keys, actor, id)
  })
}

/** Gives a link a new address; the old one stops working. */
export function renewLink(on: Writable, keys: ServerKeys, actor: PersonActor, id: string): Promise<Pass> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const pass = await getOpen(trx, actor, id)
    if (!hasAddress(pass)) throw new AppError('not-found', 'not-found')
    await assertUpdated(store.updatePass(trx, id, pass.revision, { generation: pass.generation + 1 }))
    await noteAct(trx, actor, 'link-renewed', id)
    return getPass(trx, keys, actor, id)
  })
}

export interface LookAsQuery {
  readonly personId?: string | undefined
  readonly passId?: string | undefined
  readonly at?: Instant | undefined
}

/**
 * Computes what a person, or the holder of a link, can open of one's own things at a moment. Reads only.
 *
 * @throws AppError `not-found` for people in no class of the caller, and for links of others
 */
export async function lookAs(reader: Reader, actor: PersonActor, wish: LookAsQuery): Promise<LookAs> {
  const at = wish.at ?? reader.now
  const viewer = await viewerFor(reader, actor, wish)
  const personId = viewer.kind === 'person' ? viewer.personId : null
  const world = await loadWorldOf(reader, actor.personId, personId)
  const answerFor = prepareAccess(viewer, 'look', at, world)
  return {
    at,
    classIds: [
      ...new Set(world.memberships.filter((span) => isWithin(span, at)).map(({ classId }) => classId)),
    ],
    answers: world.things.map(({ id: thingId }) => {
      const answer = answerFor(thingId)
      if (!answer.allowed) return { thingId, allowed: false, obstacles: [...answer.obstacles] }
      const grants = answer.grants.flatMap((grant) =>
        grant.kind === 'pass' ? [{ ...grant, path: [...grant.path] }] : [],
      )
      return { thingId, allowed: true, grants, until: answer.until }
    }),
  }
}

async function viewerFor(
  reader: Reader,
  actor: PersonActor,
  { personId, passId }: LookAsQuery,
): Promise<Viewer> {
  if (passId !== undefined) {
    const pass = await getStored(reader, actor, passId)
    if (!hasAddress(pass)) throw new AppError('not-found', 'not-found')
    return { kind: 'visitor', links: [passId] }
  }
  if (personId === undefined) return { kind: 'visitor', links: [] }
  const { people } = await listAudiences(reader, actor)
  const passes = await store.listOwnPasses(reader, actor)
  const isKnown =
    people.some(({ id }) => id === personId) || passes.some(({ audience }) => audience.id === personId)
  if (!isKnown) throw new AppError('not-found', 'not-found')
  return { kind: 'person', personId, links: [] }
}

function hasAddress({ audience }: Pick<StoredPass, 'audience'>): boolean {
  return audienceDefinitionOf(audience.kind).hasAddress
}

function toPass({ generation, ...pass }: StoredPass, keys: ServerKeys, allowed: Allowed): Pass {
  return {
    ...pass,
    isForbidden: !allowed.has(pass.audience.kind),
    address: hasAddress(pass) ? `${OPEN_PATH}${makeLinkCode(keys, pass.id, generation)}` : null,
  }
}

type Allowed = Parameters<typeof decidePass>[1]

async function allowedOf(reader: Reader, { personId }: PersonActor): Promise<Allowed> {
  const allowed = await listAllowed(reader, [personId])
  return allowed.get(personId) ?? new Set()
}

async function assertMayGive(
  trx: Trx,
  actor: PersonActor,
  { audience, rights }: NewPass,
  window: TimeWindow,
): Promise<void> {
  const wish = { ...window, audience: audience.kind, rights }
  const decision = decidePass(wish, await allowedOf(trx, actor), trx.now)
  const code: ErrorCode = 'conflict'
  assertAllowed(decision, code)
  const isKnown = audienceStoreOf(audience.kind).isKnown(audience, await listAudiences(trx, actor))
  // People and classes that one does not share get the same answer as ones that are not there.
  if (!isKnown) throw new AppError(code, 'not-in-your-class')
}

/** The instants of the days; a pass without a first day begins when it is given. */
async function windowOf(trx: Trx, days: PassChange, given: Instant | null): Promise<TimeWindow> {
  const { timeZone } = await getSchool(trx)
  const { from, until } = toTimeWindow(days, timeZone)
  const started = given !== null && windowState({ from: given, until: null }, trx.now) === 'running'
  return { from: from ?? (started ? given : trx.now), until }
}

function tidy(wish: NewPass): NewPass {
  const { audience } = wish
  return 'name' in audience ? { ...wish, audience: { ...audience, name: toPlainLine(audience.name) } } : wish
}

async function getStored(reader: Reader, actor: PersonActor, id: string): Promise<StoredPass> {
  const pass = await store.findOwnPass(reader, actor, id)
  if (!pass) throw new AppError('not-found', 'not-found')
  return pass
}

async function getOpen(reader: Reader, actor: PersonActor, id: string): Promise<StoredPass> {
  const pass = await getStored(reader, actor, id)
  if (pass.state === 'ended') throw new AppError('conflict', 'pass-ended')
  return pass
}

async function assertUpdated(update: Promise<boolean>): Promise<void> {
  if (!(await update)) throw new AppError('stale', 'stale')
}

function noteAct(
  trx: Trx,
  actor: PersonActor,
  action: RecordAction,
  id: string,
  changes: RecordChanges = {},
): Promise<void> {
  return appendRecord(trx, actor, { action, subject: 'pass', subjectId: id, changes })
}
