// The rule of access: who may do what with which thing at which moment, because of what, until when, or what stands in the way.
import { endOfUnion, isEmptyWindow, isWithin, meetWindows, windowState } from '../time/index.ts'
import type { Instant, TimeWindow } from '../time/index.ts'
import { audienceDefinitionOf } from './audiences/audienceDefinitions.ts'
import { chainsAbove } from './chainsAbove.ts'
import type { Chain } from './chainsAbove.ts'
import type { AccessRight } from './valueLists.ts'
import type {
  AccessAnswer,
  AccessPass,
  AccessThing,
  AccessWorld,
  Obstacle,
  Viewer,
  AccessGrant,
} from './world.ts'

/** A pass that could let the viewer in, with the times at which it would. */
interface Chance {
  readonly pass: AccessPass
  readonly chain: Chain
  /** When the pass runs and the viewer belongs to its audience. */
  readonly windows: readonly TimeWindow[]
  /** What is in its way whatever the time. */
  readonly obstacles: readonly Obstacle[]
}

/**
 * Answers whether the viewer has `right` on one thing.
 *
 * A thing that is not in the world gets the same answer as one without a pass.
 */
export function resolveAccess(
  viewer: Viewer,
  thingId: string,
  right: AccessRight,
  at: Instant,
  world: AccessWorld,
): AccessAnswer {
  return prepareAccess(viewer, right, at, world)(thingId)
}

/** Prepares `resolveAccess` for many things: what all of them share is computed once. */
export function prepareAccess(
  viewer: Viewer,
  right: AccessRight,
  at: Instant,
  world: AccessWorld,
): (thingId: string) => AccessAnswer {
  const things = new Map(world.things.map((thing) => [thing.id, thing]))
  const passesOn = groupBy(world.passes, ({ thingId }) => thingId)
  const edgesInto = groupBy(world.edges, ({ thingId }) => thingId)

  return (thingId) => {
    const thing = things.get(thingId)
    if (!thing) return { allowed: false, obstacles: [{ kind: 'no-pass' }] }
    if (viewer.kind === 'system') return { allowed: true, grants: [{ kind: 'system' }], until: null }
    if (viewer.kind === 'person' && viewer.personId === thing.ownerId)
      return { allowed: true, grants: [{ kind: 'owner' }], until: null }
    const own: Chain = { path: [], hiddenIn: [], binned: [] }
    const chains = [own, ...chainsAbove(thingId, edgesInto, things)]
    const chances = chains.flatMap((chain) =>
      (passesOn.get(chain.path[0] ?? thingId) ?? []).flatMap((pass) => chanceOf(pass, chain, thing)),
    )
    return answer(thing, chances)
  }

  function chanceOf(pass: AccessPass, chain: Chain, thing: AccessThing): Chance[] {
    const spans = windowsOf(pass, viewer, world)
    if (spans.length === 0) return []
    const passId = pass.id
    const running = { from: pass.from, until: endOf(pass) }
    const obstacles: Obstacle[] = [
      ...chain.hiddenIn.map((containerId) => ({ kind: 'hidden' as const, passId, containerId })),
      ...chain.binned.map((containerId) => ({ kind: 'container-in-bin' as const, passId, containerId })),
    ]
    if (world.allowed.get(thing.ownerId)?.has(pass.audience.kind) !== true)
      obstacles.push({ kind: 'rules', passId })
    if (right !== 'look' && !pass.rights.includes(right)) obstacles.push({ kind: 'right', passId })
    const windows = spans.map((span) => meetWindows(span, running)).filter((one) => !isEmptyWindow(one))
    return [{ pass, chain, windows, obstacles }]
  }

  function answer(thing: AccessThing, chances: readonly Chance[]): AccessAnswer {
    const ofThing = obstaclesOf(thing)
    const open = ofThing.length > 0 ? [] : chances.filter(({ obstacles }) => obstacles.length === 0)
    const now = open.filter(({ windows }) => windows.some((window) => isWithin(window, at)))
    if (now.length === 0) {
      const found = [...ofThing, ...chances.flatMap((chance) => whyNot(chance, at))]
      return {
        allowed: false,
        obstacles: chances.length === 0 ? [...ofThing, { kind: 'no-pass' }] : distinct(found),
      }
    }
    const grants = now.map(({ pass, chain }): AccessGrant => ({
      kind: 'pass',
      passId: pass.id,
      path: chain.path,
    }))
    const windows = open.flatMap((chance) => chance.windows)
    return { allowed: true, grants, until: endOfUnion(windows, at) }
  }
}

/** Returns when a pass ends: at its `until`, or earlier where its giver stopped it. */
export function endOf({ until, endedAt }: Pick<AccessPass, 'until' | 'endedAt'>): Instant | null {
  return meetWindows({ from: null, until }, { from: null, until: endedAt }).until
}

function obstaclesOf({ isBinned, isPublished }: AccessThing): Obstacle[] {
  return [
    ...(isBinned ? [{ kind: 'in-bin' as const }] : []),
    ...(isPublished ? [] : [{ kind: 'not-published' as const }]),
  ]
}

/** When the viewer belongs to the audience of a pass; no window at all where that is never. */
function windowsOf(pass: AccessPass, viewer: Viewer, world: AccessWorld): readonly TimeWindow[] {
  return audienceDefinitionOf(pass.audience.kind).windows(pass, viewer, world)
}

/** What keeps a chance from being a way at a moment. */
function whyNot({ pass, windows, obstacles }: Chance, at: Instant): Obstacle[] {
  if (obstacles.length > 0) return [...obstacles]
  if (windows.some((window) => isWithin(window, at))) return []
  const passId = pass.id
  const until = endOf(pass)
  const state = windowState({ from: pass.from, until }, at)
  if (state === 'to-come' && pass.from !== null) return [{ kind: 'to-come', passId, from: pass.from }]
  if (state === 'ended' && until !== null) return [{ kind: 'ended', passId, until }]
  return [{ kind: 'not-in-class', passId }]
}

function distinct(obstacles: readonly Obstacle[]): Obstacle[] {
  const seen = new Set<string>()
  return obstacles.filter((one) => {
    const key = JSON.stringify(one)
    return seen.has(key) ? false : seen.add(key)
  })
}

function groupBy<T>(all: readonly T[], keyOf: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const one of all) {
    const group = groups.get(keyOf(one))
    if (group) group.push(one)
    else groups.set(keyOf(one), [one])
  }
  return groups
}
