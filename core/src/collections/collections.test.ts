import fc from 'fast-check'
import {
  applyCollectionOperations,
  edgesOf,
  pagesToRead,
  reachOf,
  readingOrder,
  wouldCircle,
} from './index.ts'
import type { Arrangement, CollectionItem, CollectionOperation, Container, ReadableThing } from './index.ts'

const page = (n: number, isHidden = false): CollectionItem => ({
  id: `i${n}`,
  kind: 'thing',
  thingId: `p${n}`,
  isHidden,
})
const divider = (n: number, isHidden = false): CollectionItem => ({
  id: `d${n}`,
  kind: 'divider',
  title: `Part ${n}`,
  isHidden,
})
const nested = (id: string, isHidden = false): CollectionItem => ({
  id: `n-${id}`,
  kind: 'thing',
  thingId: id,
  isHidden,
})
const arrangement = (...items: CollectionItem[]): Arrangement => ({ title: 'Shore year', items })
const idsOf = ({ items }: Arrangement) => items.map(({ id }) => id)

describe('the order of a collection', () => {
  const start = arrangement(page(1), divider(1), page(2), page(3))

  it.each<[string, CollectionOperation, string[]]>([
    ['first', { op: 'insert', item: page(9), after: null }, ['i9', 'i1', 'd1', 'i2', 'i3']],
    ['behind another', { op: 'insert', item: page(9), after: 'd1' }, ['i1', 'd1', 'i9', 'i2', 'i3']],
    ['moved to the front', { op: 'move', id: 'i3', after: null }, ['i3', 'i1', 'd1', 'i2']],
    ['moved down', { op: 'move', id: 'i1', after: 'i2' }, ['d1', 'i2', 'i1', 'i3']],
    ['moved behind itself', { op: 'move', id: 'i2', after: 'i2' }, ['i1', 'd1', 'i2', 'i3']],
    ['taken out', { op: 'remove', id: 'd1' }, ['i1', 'i2', 'i3']],
  ])('has an item %s', (_, operation, expected) => {
    expect(idsOf(applyCollectionOperations(start, [operation]))).toEqual(expected)
  })

  it('hides a place and names a divider without moving anything', () => {
    const next = applyCollectionOperations(start, [
      { op: 'set-hidden', id: 'i2', isHidden: true },
      { op: 'name-divider', id: 'd1', title: 'Winter' },
      { op: 'set-title', title: 'A year' },
    ])
    expect(next).toEqual({
      title: 'A year',
      items: [page(1), { ...divider(1), title: 'Winter' }, page(2, true), page(3)],
    })
  })

  it.each<[string, CollectionOperation]>([
    ['item-gone', { op: 'move', id: 'nowhere', after: null }],
    ['item-gone', { op: 'insert', item: page(9), after: 'nowhere' }],
    ['item-gone', { op: 'name-divider', id: 'i1', title: 'x' }],
    ['already-in-collection', { op: 'insert', item: { ...page(1), id: 'other' }, after: null }],
  ])('refuses with %s what does not fit', (reason, operation) => {
    expect(() => applyCollectionOperations(start, [operation])).toThrow(expect.objectContaining({ reason }))
  })

  it('loses and doubles nothing, whatever is moved where', () => {
    const moves = fc.array(fc.tuple(fc.nat(5), fc.option(fc.nat(5))), { maxLength: 12 })
    fc.assert(
      fc.property(moves, (wishes) => {
        const items = [0, 1, 2, 3, 4, 5].map((n) => page(n))
        const operations = wishes.map(([id, after]): CollectionOperation => ({
          op: 'move',
          id: `i${id}`,
          after: after === null ? null : `i${after}`,
        }))
        const next = applyCollectionOperations(arrangement(...items), operations)
        expect(idsOf(next).sort()).toEqual(items.map(({ id }) => id))
      }),
    )
  })

  it('is what it was when a move is moved back', () => {
    fc.assert(
      fc.property(fc.nat(5), fc.option(fc.nat(5)), (id, after) => {
        const items = [0, 1, 2, 3, 4, 5].map((n) => page(n))
        const before = id === 0 ? null : `i${id - 1}`
        const there = applyCollectionOperations(arrangement(...items), [
          { op: 'move', id: `i${id}`, after: after === null ? null : `i${after}` },
          { op: 'move', id: `i${id}`, after: before },
        ])
        expect(there.items).toEqual(items)
      }),
    )
  })
})

/** Collections c0…c4 that hold only later ones, and pages p0…p3. */
const forests: fc.Arbitrary<Container[]> = fc
  .array(
    fc.record({
      isBinned: fc.boolean(),
      pages: fc.uniqueArray(fc.tuple(fc.nat(3), fc.boolean()), { selector: ([n]) => n }),
      nested: fc.uniqueArray(fc.tuple(fc.nat(4), fc.boolean()), { selector: ([n]) => n }),
    }),
    { minLength: 5, maxLength: 5 },
  )
  .map((plans) =>
    plans.map(({ isBinned, pages, nested: children }, at) => ({
      id: `c${at}`,
      isBinned,
      items: [
        ...pages.map(([n, isHidden]) => ({ ...page(n, isHidden), id: `c${at}-p${n}` })),
        ...children
          .filter(([n]) => n > at)
          .map(([n, isHidden]) => ({ ...nested(`c${n}`, isHidden), id: `c${at}-c${n}` })),
      ],
    })),
  )

describe('what collections reach', () => {
  /** The same, computed naively: every chain of places, walked one by one. */
  function walk(all: readonly Container[], id: string): string[] {
    const here = all.find((one) => one.id === id)
    if (!here || here.isBinned) return []
    return edgesOf([here])
      .filter(({ isHidden }) => !isHidden)
      .flatMap(({ thingId, itemId }) => [`${thingId} at ${itemId}`, ...walk(all, thingId)])
  }

  it('is all that one comes to over places that are not hidden, each once', () => {
    fc.assert(
      fc.property(forests, (all) => {
        const reach = reachOf(all)
        for (const { id } of all) {
          const mine = reach.filter(({ containerId }) => containerId === id)
          const found = mine.map(({ thingId, itemId }) => `${thingId} at ${itemId}`)
          expect([...found].sort()).toEqual([...new Set(walk(all, id))].sort())
        }
      }),
    )
  })

  it('never goes in a circle, and says which place would make one', () => {
    fc.assert(
      fc.property(forests, fc.nat(4), fc.nat(4), (all, into, child) => {
        const shown = all.map((one) => ({
          ...one,
          isBinned: false,
          items: one.items.map((item) => ({ ...item, isHidden: false })),
        }))
        const holdsItself =
          into === child || walk(shown, `c${child}`).some((line) => line.startsWith(`c${into} `))
        expect(wouldCircle(all, `c${into}`, `c${child}`)).toBe(holdsItself)
      }),
    )
  })
})

type Seen = ReadonlyMap<string, ReadableThing>

describe('reading a collection', () => {
  const titles = (...ids: string[]): Seen =>
    new Map(
      ids.map((id) => [
        id,
        { kind: id.startsWith('p') ? ('page' as const) : ('collection' as const), title: id.toUpperCase() },
      ]),
    )
  const read = (all: Record<string, CollectionItem[]>, seen: Seen) =>
    readingOrder('c', new Map(Object.entries(all).map(([id, items]) => [id, { id, items }])), seen)
  const found = (lines: ReturnType<typeof read>) => lines.map(({ title, depth }) => `${depth} ${title}`)

  it('leaves out what is hidden or not published, and headings over nothing', () => {
    const lines = read(
      { c: [divider(1), page(1), divider(2), page(2), page(3, true), divider(3)] },
      titles('p1', 'p3'),
    )
    expect(found(lines)).toEqual(['0 Part 1', '0 P1'])
  })

  it('goes down into nested collections, and leaves out those with nothing to read', () => {
    const lines = read(
      { c: [page(1), nested('a'), nested('b')], a: [divider(1), page(2)], b: [divider(2)] },
      titles('p1', 'p2', 'a', 'b'),
    )
    expect(found(lines)).toEqual(['0 P1', '0 A', '1 Part 1', '1 P2'])
  })

  it('puts nothing under a heading that is hidden, nor under the one before it', () => {
    const lines = read({ c: [divider(1), divider(2, true), page(1)] }, titles('p1'))
    expect(found(lines)).toEqual(['0 P1'])
  })

  it('comes to a page once, where it stands first', () => {
    const lines = read({ c: [page(1), nested('a'), page(2)], a: [page(2)] }, titles('p1', 'p2', 'a'))
    expect(pagesToRead(lines).map(({ id }) => id)).toEqual(['p1', 'p2'])
  })
})
