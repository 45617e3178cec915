// Worlds made at random: few people, things and moments, so that everything meets everything.
import type { Edge } from '../../collections/index.ts'
import { sharedKinds, thingDefinitionOf } from '../../things/index.ts'
import { meetWindows, toInstant } from '../../time/index.ts'
import type { Instant, TimeWindow } from '../../time/index.ts'
import { audienceDefinitionOf, audienceKinds } from '../audiences/audienceDefinitions.ts'
import type {
  AccessPass,
  AccessThing,
  AccessWorld,
  MembershipWindow,
  PassAudience,
  Viewer,
} from '../world.ts'

const containerKinds = sharedKinds.filter((kind) => thingDefinitionOf(kind).isContainer)
const readKinds = sharedKinds.filter((kind) => !thingDefinitionOf(kind).isContainer)

const START = Date.parse('2026-11-24T00:00:00.000Z')
/** All instants at which a window of these worlds starts or ends. */
export const MOMENTS: readonly Instant[] = Array.from({ length: 8 }, (_, n) =>
  toInstant(START + n * 3_600_000),
)

const people = ['ada', 'ben', 'cleo', 'dov']
const owners = ['ada', 'ben']
const classIds = ['north', 'south']

export interface RandomWorld extends AccessWorld {
  readonly people: readonly string[]
  readonly classes: readonly { readonly id: string; readonly endedAt: Instant | null }[]
  /** Before they were cut where their class ended. */
  readonly uncutMemberships: readonly MembershipWindow[]
  readonly viewers: readonly Viewer[]
}

/**
 * @param pick returns a whole number from 0 to below its argument
 */
export function makeRandomWorld(pick: (below: number) => number): RandomWorld {
  const one = <T>(list: readonly [T, ...T[]] | readonly T[]): T => {
    const chosen = list[pick(list.length)]
    if (chosen === undefined) throw new Error('nothing to choose from')
    return chosen
  }
  const perhaps = (percent: number) => pick(100) < percent
  const times = <T>(count: number, make: (n: number) => T) => Array.from({ length: count }, (_, n) => make(n))
  const window = (): TimeWindow => {
    const from = perhaps(40) ? null : one(MOMENTS)
    const until = perhaps(40) ? null : one(MOMENTS)
    return { from, until }
  }

  const things = times(9, (n): AccessThing => {
    const kinds = n < 5 ? containerKinds : readKinds
    const kind = kinds[n % kinds.length] ?? 'page'
    const isPublished = !thingDefinitionOf(kind).hasDraft || perhaps(80)
    return { id: `${kind}-${n}`, kind, ownerId: owners[n % 2] ?? '', isPublished, isBinned: perhaps(12) }
  })
  const edges = things.flatMap((container, at): Edge[] =>
    !containerKinds.includes(container.kind)
      ? []
      : things
          .filter((thing, below) => below > at && thing.ownerId === container.ownerId && perhaps(45))
          .map((thing) => ({
            containerId: container.id,
            thingId: thing.id,
            itemId: `${container.id}>${thing.id}`,
            isHidden: perhaps(20),
          })),
  )
  const classes = classIds.map((id) => ({ id, endedAt: perhaps(15) ? one(MOMENTS) : null }))
  const uncutMemberships = times(6, (): MembershipWindow => ({
    personId: one(people),
    classId: one(classIds),
    role: one(['student', 'assessor', 'lead']),
    ...window(),
  }))
  // Whatever an audience goes by is there; its kind says what it looks at.
  const audience = (): PassAudience => ({
    kind: one(audienceKinds),
    personId: one(people),
    classId: one(classIds),
  })
  const passes = times(pick(9), (n): AccessPass => {
    const given = audience()
    return {
      id: `pass-${n}`,
      thingId: one(things).id,
      audience: given,
      rights: !audienceDefinitionOf(given.kind).hasAddress && perhaps(30) ? ['look', 'comment'] : ['look'],
      ...window(),
      endedAt: perhaps(15) ? one(MOMENTS) : null,
    }
  })
  const links = () =>
    passes
      .filter(({ audience: { kind } }) => audienceDefinitionOf(kind).hasAddress && perhaps(60))
      .map(({ id }) => id)
  return {
    people,
    classes,
    things,
    edges,
    passes,
    uncutMemberships,
    memberships: uncutMemberships.map((membership) => ({
      ...membership,
      ...meetWindows(membership, {
        from: null,
        until: classes.find(({ id }) => id === membership.classId)?.endedAt ?? null,
      }),
    })),
    allowed: new Map(owners.map((owner) => [owner, new Set(audienceKinds.filter(() => perhaps(75)))])),
    viewers: [
      ...people.map((personId): Viewer => ({ kind: 'person', personId, links: links() })),
      { kind: 'visitor', links: links() },
      { kind: 'visitor', links: [] },
    ],
  }
}
