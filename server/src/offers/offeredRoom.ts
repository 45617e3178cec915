// What every room of offered things does alike: writing, publishing and offering, and finding one to use.
import { isSame } from '@valise/core/json'
import type {
  NewOffered,
  OfferedContent,
  OfferedRow,
  OfferedVersion,
  Offers,
  OwnOffered,
} from '@valise/core/offers'
import { isAssessorRole, textIn } from '@valise/core/people'
import type { Localized, PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { ThingKind } from '@valise/core/things'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { changeThing, giveThing, insertThing } from '../things/index.ts'
import * as store from './store.ts'

/** What one kind of offered things says of itself. */
interface OfferedKind<C extends OfferedContent> {
  readonly kind: ThingKind
  /** Those that come with Valise. */
  readonly shipped: readonly OfferedVersion<C>[]
  /** The content of a new one. */
  blank(title: Localized): C
  /** How many questions, attributes or the like it has. */
  sizeOf(content: C): number
  /** Why it cannot be published yet; null where nothing is lacking. */
  faultOf(content: C): AppError | null
  mayWrite(actor: PersonActor): boolean
  /** Whether all assessors of the classes that it is offered to write it together; else its owner alone does. */
  readonly isWrittenTogether?: boolean
  /** @throws AppError where its writer may not put into it what the change puts there */
  assertMaySave?(trx: Trx, actor: PersonActor, before: C, after: C): Promise<void>
  /** Follows, in the same transaction, whatever others see of it: a version that is published, offers that change. */
  afterShown?(
    trx: Trx,
    actor: PersonActor,
    change: { readonly before: OwnOffered<C>; readonly own: OwnOffered<C> },
  ): Promise<void>
}

interface At<T> {
  readonly id: string
  readonly revision: number
  readonly to: T
}

export interface OfferedRoom<C extends OfferedContent> {
  /** Lists all that one may use, and what one is still writing: mine, my classes', the school's, those that ship. */
  list(reader: Reader, actor: PersonActor): Promise<OfferedRow[]>
  /** Finds the newest version of one that one may use; null where there is none. */
  findNewest(reader: Reader, actor: PersonActor, id: string): Promise<OfferedVersion<C> | null>
  getNewest(reader: Reader, actor: PersonActor, id: string): Promise<OfferedVersion<C>>
  getOwn(reader: Reader, actor: PersonActor, id: string): Promise<OwnOffered<C>>
  /** Begins one, empty or as a copy of another. */
  create(on: Writable, actor: PersonActor, first: NewOffered): Promise<OwnOffered<C>>
  save(on: Writable, actor: PersonActor, change: At<C>): Promise<OwnOffered<C>>
  /** Makes what stands there the newest version, which others use from now on. */
  publish(on: Writable, actor: PersonActor, at: Omit<At<never>, 'to'>): Promise<OwnOffered<C>>
  /** Offers it to classes that one is in now, or to the school; offers to other classes that stand already stay. */
  offer(on: Writable, actor: PersonActor, change: At<Offers>): Promise<OwnOffered<C>>
}

/** Makes the room of a kind of offered things. */
export function offeredRoom<C extends OfferedContent>(of: OfferedKind<C>): OfferedRoom<C> {
  const { kind } = of
  const { isWrittenTogether = false } = of
  const sized = (content: C) => ({ content, size: of.sizeOf(content) })

  const findNewest: OfferedRoom<C>['findNewest'] = async (reader, actor, id) => {
    const shipped = of.shipped.find((one) => one.id === id)
    if (shipped) return shipped
    const found = await store.findNewestVersion<C>(reader, actor, kind, id)
    return found && { id, ...found }
  }
  const getNewest: OfferedRoom<C>['getNewest'] = async (reader, actor, id) =>
    found(await findNewest(reader, actor, id))
  const getOwn: OfferedRoom<C>['getOwn'] = async (reader, actor, id) =>
    found(await store.findOwn<C>(reader, actor, { kind, id, isWrittenTogether }))

  /** What one writes oneself is copied as it stands, published or not. */
  const getCopied = async (trx: Trx, actor: PersonActor, id: string): Promise<C> =>
    (
      (await store.findOwn<C>(trx, actor, { kind, id, isWrittenTogether })) ??
      (await getNewest(trx, actor, id))
    ).content

  /** Changes one that may be changed, at the revision that its writer saw. */
  const change = (
    on: Writable,
    actor: PersonActor,
    { id, revision }: Omit<At<never>, 'to'>,
    write: (trx: Trx, before: OwnOffered<C>) => Promise<C | void>,
  ) =>
    inTransaction(on, async (trx) => {
      const before = await getOwn(trx, actor, id)
      if (before.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
      const content = (await write(trx, before)) ?? before.content
      if (!(await changeThing(trx, id, { revision, title: textIn(content.title, 'en') })))
        throw new AppError('stale', 'stale')
      return getOwn(trx, actor, id)
    })

  /** Changes what others see of it. */
  const changeShown: typeof change = (on, actor, at, write) =>
    inTransaction(on, async (trx) => {
      const before = await getOwn(trx, actor, at.id)
      const own = await change(trx, actor, at, write)
      await of.afterShown?.(trx, actor, { before, own })
      return own
    })

  return {
    findNewest,
    getNewest,
    getOwn,

    list: async (reader, actor) => [
      ...(await store.listOwn(reader, actor, kind)),
      ...(await store.listForClasses(reader, actor, kind, isWrittenTogether)),
      ...(await store.listForSchool(reader, actor, kind)),
      ...of.shipped.map(({ id, n, source, content }) => ({
        ...{ id, n, source, title: content.title, about: content.about, size: of.sizeOf(content) },
        ...{ ownerName: null, isNewer: false, mayEdit: false },
      })),
    ],

    create: (on, actor, { title, from }) =>
      inTransaction(on, async (trx) => {
        if (!of.mayWrite(actor)) throw new AppError('forbidden', 'not-allowed')
        const id = trx.newId()
        const content =
          from === undefined ? of.blank(title) : { ...(await getCopied(trx, actor, from)), title }
        await insertThing(trx, { id, kind, ownerId: actor.personId, title: textIn(title, 'en') })
        await store.insert(trx, actor, { id, kind, ...sized(content) })
        return getOwn(trx, actor, id)
      }),

    save: (on, actor, { id, revision, to: content }) =>
      change(on, actor, { id, revision }, async (trx, { n, content: before }) => {
        await of.assertMaySave?.(trx, actor, before, content)
        const isNewer = !isSame(content, await store.findVersion(trx, id, n))
        await store.updateContent(trx, id, { ...sized(content), isNewer })
        return content
      }),

    publish: (on, actor, at) =>
      changeShown(on, actor, at, async (trx, { id, content, n, isNewer }) => {
        const fault = of.faultOf(content)
        if (fault) throw fault
        if (isNewer) await store.insertVersion(trx, id, { n: n + 1, ...sized(content) })
      }),

    offer: (on, actor, { id, revision, to }) =>
      changeShown(on, actor, { id, revision }, async (trx, before) => {
        const { classIds, isForSchool = before.isForSchool } = to
        if (before.n === 0 && (classIds.length > 0 || isForSchool))
          throw new AppError('conflict', 'not-published')
        if (isForSchool !== before.isForSchool && !actor.administrator)
          throw new AppError('forbidden', 'not-allowed')
        const isMine = ({ role }: PersonActor['memberships'][number]) =>
          !isWrittenTogether || isAssessorRole(role)
        const own = actor.memberships.filter(isMine).map(({ classId }) => classId)
        const mine = new Set([...own, ...before.offers])
        if (classIds.some((classId) => !mine.has(classId))) throw new AppError('not-found', 'not-found')
        // What the school keeps no longer stays with whoever decided so, and is lost to nobody.
        if (before.isForSchool && !isForSchool) await giveThing(trx, id, actor.personId)
        await store.replaceOffers(trx, id, { classIds, isForSchool })
      }),
  }
}

function found<T>(value: T | null): T {
  if (value === null) throw new AppError('not-found', 'not-found')
  return value
}
