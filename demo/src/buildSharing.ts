// Puts collections and passes into the world, by the same use cases as the screens.
import { ownerActor } from '@valise/core/people'
import type { Audience } from '@valise/core/access'
import type { CollectionItem } from '@valise/core/collections'
import type { PersonActor } from '@valise/core/people'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import {
  changeCollection,
  createCollection,
  endPass,
  givePass,
  listPresentPeople,
  listOwnShared,
  shiftedClock,
} from '@valise/server'
import type { Database, Services } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { buildPage, thingsOf } from './buildPages.ts'
import { cast } from './cast.ts'
import { collectionsOfWren, pagesOfOthers, passesOfWren } from './sharingOfWren.ts'
import type { SampleCollection, SamplePass } from './sharingOfWren.ts'

interface Building {
  readonly services: Services
  readonly today: LocalDay
  readonly classId: string
  /** Ids by sign-in names. */
  readonly people: ReadonlyMap<string, string>
}

export async function buildSharing(services: Services, today: LocalDay, classId: string): Promise<void> {
  const present = await listPresentPeople(services.database.reader())
  const people = new Map(present.map(({ signInName, id }) => [signInName, id]))
  const building: Building = { services, today, classId, people }
  const wren = actorOf(building, cast.wren.signInName)
  for (const one of collectionsOfWren) await buildCollection(building, wren, one)
  for (const one of passesOfWren) await buildPass(building, wren, one)
  for (const { by, passes, ...page } of pagesOfOthers) {
    const actor = actorOf(building, by)
    const things = await thingsOf(services, actor)
    const wish = { ...page, publishedDaysAgo: page.daysAgo }
    await buildPage({ services, today, actor, things, logbooks: new Map(), entries: new Map() }, wish)
    for (const pass of passes) await buildPass(building, actor, { ...pass, on: page.title })
  }
}

async function buildCollection(
  building: Building,
  actor: PersonActor,
  { title, items }: SampleCollection,
): Promise<void> {
  const on = at(building, 38, 10)
  const ids = await titlesOf(building, actor)
  const collection = await createCollection(on, actor, title)
  const operations = items.map(toItem(ids)).map((item, n, all) => ({
    op: 'insert' as const,
    item,
    after: all[n - 1]?.id ?? null,
  }))
  await changeCollection(on, actor, collection.id, { revision: collection.revision, operations })
}

function toItem(ids: ReadonlyMap<string, string>): (words: string) => CollectionItem {
  return (words) => {
    const id = uuidv7()
    const [, sign = '', title = ''] = /^([#-] )?(.*)$/.exec(words) ?? []
    const isHidden = sign === '- '
    if (sign === '# ') return { id, kind: 'divider', title, isHidden }
    return { id, kind: 'thing', thingId: idOf(ids, title), isHidden }
  }
}

async function buildPass(building: Building, actor: PersonActor, wish: SamplePass): Promise<void> {
  const { services, today } = building
  const things = await listOwnShared(services.database.reader(), actor)
  const thing = things.find(({ title }) => title === wish.on)
  if (!thing) throw new Error(`there is nothing called ${wish.on}`)
  const dayIn = (days: number | undefined) => (days === undefined ? null : addDays(today, days))
  const pass = await givePass(at(building, wish.givenDaysAgo, 16), services.keys, actor, {
    thing: { kind: thing.kind, id: thing.id },
    audience: audienceOf(building, wish.to),
    rights: ['look'],
    firstDay: dayIn(wish.fromIn),
    lastDay: dayIn(wish.untilIn),
  })
  if (wish.endedDaysAgo !== undefined)
    await endPass(at(building, wish.endedDaysAgo, 12), services.keys, actor, pass.id)
}

function audienceOf({ classId, people }: Building, to: SamplePass['to']): Audience {
  if ('person' in to) return { kind: 'person', personId: idOf(people, to.person) }
  return 'link' in to ? { kind: 'link', name: to.link } : { kind: to.audience, classId }
}

async function titlesOf({ services }: Building, actor: PersonActor): Promise<ReadonlyMap<string, string>> {
  const things = await listOwnShared(services.database.reader(), actor)
  return new Map(things.map(({ title, id }) => [title, id]))
}

function actorOf({ people, classId }: Building, signInName: string): PersonActor {
  return { ...ownerActor(idOf(people, signInName)), memberships: [{ classId, role: 'student' }] }
}

function idOf(ids: ReadonlyMap<string, string>, name: string): string {
  const id = ids.get(name)
  if (id === undefined) throw new Error(`nothing and nobody is called ${name}`)
  return id
}

function at({ services, today }: Building, daysAgo: number, hour: number): Database {
  const moment = `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:20:00.000Z`
  return { ...services.database, clock: shiftedClock(moment) }
}
