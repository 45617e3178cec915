import fc from 'fast-check'
import { decidePass, prepareAccess, resolveAccess, usualAudiences } from './index.ts'
import type { AccessAnswer, AccessPass, AccessWorld, AudienceKind, Viewer } from './index.ts'
import { makeRandomWorld, MOMENTS, naiveAccess } from './testing/index.ts'
import type { RandomWorld } from './testing/index.ts'

const worlds: fc.Arbitrary<RandomWorld> = fc
  .infiniteStream(fc.nat())
  .map((numbers) => makeRandomWorld((below) => (numbers.next().value ?? 0) % below))

/** Tells of every question that can be asked of a world. */
function everywhere(
  world: RandomWorld,
  tell: (viewer: Viewer, thingId: string, at: string, answer: AccessAnswer) => void,
  right: 'look' | 'comment' = 'look',
): void {
  for (const viewer of world.viewers)
    for (const at of MOMENTS) {
      const answerFor = prepareAccess(viewer, right, at, world)
      for (const { id } of world.things) tell(viewer, id, at, answerFor(id))
    }
}

describe('access in worlds made at random', () => {
  it.each(['look', 'comment'] as const)('to %s is what the naive rule says', (right) => {
    fc.assert(
      fc.property(worlds, (world) => {
        everywhere(
          world,
          (viewer, id, at, { allowed }) => expect(allowed).toBe(naiveAccess(viewer, id, right, at, world)),
          right,
        )
      }),
      { numRuns: 25 },
    )
  })

  it('lasts until the first moment at which the naive rule says no', () => {
    fc.assert(
      fc.property(worlds, (world) => {
        everywhere(world, (viewer, id, at, answer) => {
          if (!answer.allowed) return
          const end = MOMENTS.find((moment) => moment > at && !naiveAccess(viewer, id, 'look', moment, world))
          expect(answer.until).toBe(end ?? null)
        })
      }),
      { numRuns: 25 },
    )
  })

  it('names every pass that would do alone, and the places it comes down', () => {
    fc.assert(
      fc.property(worlds, (world) => {
        everywhere(world, (viewer, id, at, answer) => {
          const owner = world.things.find((thing) => thing.id === id)?.ownerId
          if (viewer.kind === 'person' && viewer.personId === owner) return
          const grants = answer.allowed ? answer.grants : []
          const alone = world.passes.filter((pass) =>
            naiveAccess(viewer, id, 'look', at, { ...world, passes: [pass] }),
          )
          const named = grants.flatMap((grant) => (grant.kind === 'pass' ? [grant.passId] : []))
          expect([...new Set(named)].sort()).toEqual(alone.map((pass) => pass.id).sort())
          for (const grant of grants)
            if (grant.kind === 'pass') expectChain(world, grant.passId, [...grant.path, id])
        })
      }),
      { numRuns: 25 },
    )
  })

  function expectChain(world: AccessWorld, passId: string, chain: readonly string[]): void {
    expect(world.passes.find(({ id }) => id === passId)?.thingId).toBe(chain[0])
    for (const [at, thingId] of chain.slice(1).entries())
      expect(world.edges).toContainEqual(
        expect.objectContaining({ containerId: chain[at], thingId, isHidden: false }),
      )
  }

  it('always says what stands in the way, and it does', () => {
    fc.assert(
      fc.property(worlds, (world) => {
        everywhere(world, (viewer, id, at, answer) => {
          if (answer.allowed) return
          expect(answer.obstacles).not.toEqual([])
          const mended = mend(world, answer, id)
          const needsPass = answer.obstacles.some(({ kind }) => kind === 'no-pass' || kind === 'not-in-class')
          // With all that was named out of the way, the viewer may; unless there was no pass to begin with.
          if (!needsPass) expect(naiveAccess(viewer, id, 'look', at, mended)).toBe(true)
        })
      }),
      { numRuns: 25 },
    )
  })

  function mend(world: RandomWorld, answer: AccessAnswer, id: string): AccessWorld {
    const found = answer.allowed ? [] : answer.obstacles
    const names = (kind: string) =>
      new Set(found.flatMap((one) => (one.kind === kind && 'passId' in one ? [one.passId] : [])))
    const has = (kind: string) => found.some((one) => one.kind === kind)
    const timed = new Set([...names('to-come'), ...names('ended')])
    return {
      ...world,
      things: world.things.map((thing) => ({
        ...thing,
        isBinned: thing.isBinned && !(thing.id === id && has('in-bin')) && !has('container-in-bin'),
        isPublished: thing.isPublished || (thing.id === id && has('not-published')),
      })),
      edges: world.edges.map((edge) => ({ ...edge, isHidden: edge.isHidden && !has('hidden') })),
      passes: world.passes.map((pass) =>
        timed.has(pass.id) || found.some((one) => 'passId' in one && one.passId === pass.id)
          ? { ...pass, from: null, until: null, endedAt: null }
          : pass,
      ),
      memberships: world.memberships.map((one) => ({ ...one, from: null, until: null })),
      allowed: has('rules')
        ? new Map([...world.allowed.keys()].map((owner) => [owner, new Set(usualAudiences(null))]))
        : world.allowed,
    }
  }
})

describe('access in a world one can picture', () => {
  const pass = (id: string, thingId: string, more: Partial<AccessPass> = {}): AccessPass => ({
    id,
    thingId,
    audience: { kind: 'assessors', personId: null, classId: 'methods' },
    rights: ['look'],
    from: null,
    until: null,
    endedAt: null,
    ...more,
  })
  const world = (passes: AccessPass[], isHidden = false): AccessWorld => ({
    things: [
      { id: 'year', kind: 'collection', ownerId: 'wren', isPublished: true, isBinned: false },
      { id: 'winter', kind: 'collection', ownerId: 'wren', isPublished: true, isBinned: false },
      { id: 'storm', kind: 'page', ownerId: 'wren', isPublished: true, isBinned: false },
    ],
    edges: [
      { containerId: 'year', thingId: 'winter', itemId: '1', isHidden: false },
      { containerId: 'winter', thingId: 'storm', itemId: '2', isHidden },
    ],
    passes,
    memberships: [
      { personId: 'odalys', classId: 'methods', role: 'assessor', from: null, until: '2026-12-20' },
    ],
    allowed: new Map([['wren', new Set<AudienceKind>(['assessors', 'person'])]]),
  })
  const odalys: Viewer = { kind: 'person', personId: 'odalys', links: [] }
  const ask = (of: AccessWorld) => resolveAccess(odalys, 'storm', 'look', '2026-11-26', of)

  it('names the collections that a pass comes down through, and ends with the membership', () => {
    expect(ask(world([pass('a', 'year', { until: '2027-01-10' })]))).toEqual({
      allowed: true,
      grants: [{ kind: 'pass', passId: 'a', path: ['year', 'winter'] }],
      until: '2026-12-20',
    })
  })

  it('joins passes that follow each other without a gap', () => {
    const passes = [
      pass('a', 'year', { until: '2026-12-01' }),
      pass('b', 'storm', { from: '2026-12-01', until: '2026-12-05' }),
      pass('c', 'storm', { from: '2026-12-06', until: '2026-12-09' }),
    ]
    expect(ask(world(passes))).toMatchObject({ allowed: true, until: '2026-12-05' })
  })

  it('tells each thing that stands in the way', () => {
    const passes = [
      pass('a', 'year'),
      pass('b', 'storm', { from: '2026-12-01' }),
      pass('c', 'storm', { endedAt: '2026-11-20' }),
      pass('d', 'storm', { audience: { kind: 'class', personId: null, classId: 'methods' } }),
    ]
    expect(ask(world(passes, true))).toEqual({
      allowed: false,
      obstacles: [
        { kind: 'to-come', passId: 'b', from: '2026-12-01' },
        { kind: 'ended', passId: 'c', until: '2026-11-20' },
        { kind: 'rules', passId: 'd' },
        { kind: 'hidden', passId: 'a', containerId: 'winter' },
      ],
    })
  })

  it('is closed for a thing that nobody knows', () => {
    expect(resolveAccess(odalys, 'nothing', 'look', '2026-11-26', world([]))).toEqual({
      allowed: false,
      obstacles: [{ kind: 'no-pass' }],
    })
  })
})

describe('giving a pass', () => {
  const all = new Set(usualAudiences(null))
  const wish = { audience: 'class', rights: ['look'], from: null, until: null } as const

  it.each([
    [
      'audience-forbidden',
      { ...wish, audience: 'link' } as const,
      new Set(usualAudiences({ isYoungest: true })),
    ],
    ['window-empty', { ...wish, from: '2026-12-02', until: '2026-12-01' }, all],
    ['window-over', { ...wish, until: '2026-11-26' }, all],
    ['pass-without-look', { ...wish, rights: ['comment'] } as const, all],
    ['link-only-looks', { ...wish, audience: 'link', rights: ['look', 'copy'] } as const, all],
  ])('is refused with %s', (reason, refused, allowed) => {
    expect(decidePass(refused, allowed, '2026-11-26')).toMatchObject({ allowed: false, reason })
  })

  it('is allowed where the rules are, also to the youngest', () => {
    const youngest = new Set(usualAudiences({ isYoungest: true }))
    expect(decidePass(wish, youngest, '2026-11-26')).toEqual({ allowed: true })
  })
})
