import { audienceKinds, prepareAccess } from '@valise/core/access'
import type { AccessRight, Viewer } from '@valise/core/access'
import { makeRandomWorld, MOMENTS, naiveAccess } from '@valise/core/access/testing'
import type { RandomWorld } from '@valise/core/access/testing'
import type { PersonActor } from '@valise/core/people'
import type { SharedKind } from '@valise/core/things'
import fc from 'fast-check'
import { inTransaction } from '../database/index.ts'
import type { Database, Trx } from '../database/index.ts'
import { rewriteReach } from '../collections/index.ts'
import { describeEachDatabase } from '../testing/index.ts'
import { insertThing, setBinned } from '../things/index.ts'
import { countSeers } from './audienceStore.ts'
import { accessScope } from './scopeStore.ts'

const worlds: fc.Arbitrary<RandomWorld> = fc
  .infiniteStream(fc.nat())
  .map((numbers) => makeRandomWorld((below) => (numbers.next().value ?? 0) % below))

describeEachDatabase('the scope of lists', (open) => {
  it.each<AccessRight>(['look', 'comment'])(
    'to %s holds exactly what the core and the naive rule say, in worlds made at random',
    async (right) => {
      const database = await open()
      await fc.assert(
        fc.asyncProperty(worlds, async (world) => {
          await inTransaction(database, (trx) => insertWorld(trx, world))
          for (const viewer of world.viewers)
            for (const at of MOMENTS) {
              const answerFor = prepareAccess(viewer, right, at, world)
              const ids = world.things.map(({ id }) => id)
              const visible = ids.filter((id) => answerFor(id).allowed)
              expect(visible).toEqual(ids.filter((id) => naiveAccess(viewer, id, right, at, world)))
              expect(await scoped(database, viewer, right, at)).toEqual([...visible].sort())
            }
        }),
        { numRuns: 8 },
      )
    },
    120_000,
  )

  it('counts as seers exactly the people who can look, in worlds made at random', async () => {
    const database = await open()
    await fc.assert(
      fc.asyncProperty(worlds, async (world) => {
        await inTransaction(database, (trx) => insertWorld(trx, world))
        for (const at of MOMENTS) {
          const reader = { ...database.reader(), now: at }
          for (const { id, ownerId } of world.things) {
            const looks = (personId: string) =>
              naiveAccess({ kind: 'person', personId, links: [] }, id, 'look', at, world)
            const seers = world.people.filter((personId) => personId !== ownerId && looks(personId))
            const counted = await countSeers(reader, ownerActor(ownerId), id)
            expect([id, at, counted.people]).toEqual([id, at, seers.length])
          }
        }
      }),
      { numRuns: 6 },
    )
  }, 120_000)

  it('is everything for background work that says why, and nothing for nobody', async () => {
    const database = await open()
    const world = makeRandomWorld(() => 0)
    await inTransaction(database, (trx) => insertWorld(trx, world))
    const [at = ''] = MOMENTS
    const all = world.things.map(({ id }) => id).sort()
    expect(await scoped(database, { kind: 'system', reason: 'test' }, 'look', at)).toEqual(all)
    expect(await scoped(database, { kind: 'visitor', links: [] }, 'look', at)).toEqual([])
  })

  async function scoped(
    database: Database,
    viewer: Viewer,
    right: AccessRight,
    now: string,
  ): Promise<string[]> {
    const reader = { ...database.reader(), now }
    const seen = await reader
      .sql('things')
      .modify(accessScope(reader, viewer, right))
      .pluck<string[]>('id')
    return seen.sort()
  }
})

const ownerActor = (personId: string): PersonActor => ({
  ...{ kind: 'person', personId, sessionId: '', administrator: false, memberships: [] },
})

/** Puts a world of the core into the database, in place of the one before. */
async function insertWorld(trx: Trx, world: RandomWorld): Promise<void> {
  const { sql, now } = trx
  for (const table of ['people', 'classes', 'yearGroups']) {
    if (table === 'classes') await sql('memberships').delete()
    await sql(table).delete()
  }
  for (const id of world.people) {
    const person = { id, fullName: id, firstName: id, sortName: id, signInName: id, signInKey: id }
    await sql('people').insert({
      ...person,
      language: 'en',
      letterKeys: 1,
      administrator: 0,
      createdAt: now,
      revision: 1,
    })
  }
  for (const [owner, audiences] of world.allowed) {
    const yearGroupId = `year of ${owner}`
    const yearGroup = { id: yearGroupId, name: yearGroupId, position: 0, shownNameRule: 'full' }
    await sql('yearGroups').insert({ ...yearGroup, idleMinutes: 1, absoluteMinutes: 1, revision: 1 })
    await sql('yearGroupStays').insert({
      id: yearGroupId,
      personId: owner,
      yearGroupId,
      fromAt: '',
      untilAt: null,
    })
    for (const audience of audiences) await sql('sharingAllowances').insert({ yearGroupId, audience })
  }
  for (const { id, endedAt } of world.classes)
    await sql('classes').insert({
      id,
      name: id,
      code: id,
      codeKey: id,
      sortName: id,
      createdAt: now,
      endedAt,
      revision: 1,
    })
  for (const [n, { from, until, ...membership }] of world.uncutMemberships.entries()) {
    const days = { firstDay: null, lastDay: null, revision: 1 }
    await sql('memberships').insert({ id: `${n}`, ...membership, fromAt: from, untilAt: until, ...days })
  }
  await insertThings(trx, world)
  for (const { id, thingId, audience, rights, from, until, endedAt } of world.passes) {
    expect(audienceKinds).toContain(audience.kind)
    await sql('passes').insert({
      ...{ id, thingId, endedAt, audience: audience.kind, generation: 1, createdAt: now, revision: 1 },
      ownerId: world.things.find((thing) => thing.id === thingId)?.ownerId,
      personId: audience.personId,
      classId: audience.classId,
      mayComment: Number(rights.includes('comment')),
      mayCopy: 0,
      fromAt: from ?? '',
      untilAt: until,
    })
  }
}

/** The rows that a thing of a kind has beside the one that it shares with all. */
const ownRows = {
  collection: async ({ sql, now }, { id, ownerId }) =>
    void (await sql('collections').insert({ id, ownerId, createdAt: now })),
  page: async ({ sql, now }, { id, ownerId, isPublished }) => {
    const draft = { id, revision: 1, checkpoint: '{}', checkpointRevision: 1, createdAt: now }
    await sql('drafts').insert(draft)
    await sql('pages').insert({ id, ownerId, published: isPublished ? 1 : null })
  },
} satisfies Record<SharedKind, (trx: Trx, thing: OwnRow) => Promise<void>>

type OwnRow = Pick<RandomWorld['things'][number], 'id' | 'ownerId' | 'isPublished'>

async function insertThings(trx: Trx, { things, edges, allowed }: RandomWorld): Promise<void> {
  const { sql, now } = trx
  for (const { id, kind, ownerId, isPublished, isBinned } of things) {
    await insertThing(trx, { id, kind, ownerId, title: id })
    await ownRows[kind](trx, { id, ownerId, isPublished })
    if (isBinned) await setBinned(trx, [id], now)
  }
  for (const [position, { itemId, containerId, thingId, isHidden }] of edges.entries())
    await sql('collectionItems').insert({
      ...{ id: itemId, collectionId: containerId, position, thingId, isHidden: Number(isHidden) },
    })
  for (const owner of allowed.keys()) await rewriteReach(trx, owner)
}
