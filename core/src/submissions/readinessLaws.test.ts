// Laws of readiness on choices made at random: what holds whatever goes in.
import fc from 'fast-check'
import type { Requirement } from '../assignments/index.ts'
import { newDocument, newEvidencePiece } from '../pages/index.ts'
import type { ShownEvidence } from '../pages/index.ts'
import { computeReadiness, gapsOf, itemsGoing } from './index.ts'
import type { GoingPart } from './index.ts'

const kinds = ['picture', 'video', 'data-table', 'file'] as const

const item: fc.Arbitrary<ShownEvidence> = fc.record({
  id: fc.constantFrom('a', 'b', 'c', 'd'),
  n: fc.constant(1),
  kind: fc.constantFrom(...kinds),
  title: fc.constantFrom('', 'Heron', 'Weir'),
  fileName: fc.constant('f.png'),
  mime: fc.constant('image/png'),
  bytes: fc.constant(1),
  width: fc.constant(1),
  height: fc.constant(1),
  hasPicture: fc.constant(true),
  credit: fc.constant(null),
  rightsDeclared: fc.boolean(),
})

const part: fc.Arbitrary<GoingPart> = fc
  .record({
    kind: fc.constantFrom('page', 'entry', 'evidence'),
    title: fc.constantFrom('One', 'Two'),
    items: fc.array(item, { maxLength: 4 }),
  })
  .map(({ kind, title, items }) => ({
    kind,
    title,
    document: newDocument(title, 'en', [
      {
        id: 'row',
        pieces: items.map(({ id, kind: sort }, n) => newEvidencePiece(`p${n}`, { id, kind: sort })),
      },
    ]),
    shown: { evidence: Object.fromEntries(items.map((one, n) => [`p${n}`, one])), entries: {} },
  }))

const weight = fc.constantFrom('must' as const, 'should' as const)
const requirement: fc.Arbitrary<Requirement> = fc.oneof(
  fc.record({
    id: fc.constant('page'),
    kind: fc.constant('page' as const),
    weight,
    pieces: fc.array(
      fc.record({ sort: fc.constantFrom(...kinds), atLeast: fc.integer({ min: 1, max: 3 }) }),
      {
        maxLength: 2,
      },
    ),
  }),
  fc.record({
    id: fc.constant('words'),
    kind: fc.constant('statement' as const),
    weight,
    words: fc.integer({ min: 1, max: 4 }),
    questions: fc.constant<{ en: string }[]>([]),
  }),
  fc.record({ id: fc.constant('rights'), kind: fc.constant('rights' as const), weight }),
)
const statements = fc
  .dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.constantFrom('', 'mud', 'mud and sand', 'a b c d e'))
  .map((words) => new Map(Object.entries(words)))

const world = fc.record({
  parts: fc.array(part, { maxLength: 4 }),
  statements,
  requirements: fc.array(requirement, { maxLength: 4 }),
})

describe('readiness, whatever goes in', () => {
  it('has one line for each requirement, in its order and with its weight', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const lines = computeReadiness(requirements, { parts, statements: words })
        expect(lines.map(({ id, kind, weight: how }) => [id, kind, how])).toEqual(
          requirements.map(({ id, kind, weight: how }) => [id, kind, how]),
        )
      }),
    )
  })

  it('does not depend on the order of the parts', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const isThere = (some: GoingPart[]) =>
          computeReadiness(requirements, { parts: some, statements: words }).map((line) => line.isThere)
        expect(isThere([...parts].reverse())).toEqual(isThere(parts))
      }),
    )
  })

  it('finds nothing of pages or words there where nothing goes in', () => {
    fc.assert(
      fc.property(world, ({ statements: words, requirements }) => {
        for (const line of computeReadiness(requirements, { parts: [], statements: words }))
          expect(line.isThere).toBe(false)
      }),
    )
  })

  it('names as undeclared just the items that are not declared, each once', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words }) => {
        const [line] = computeReadiness([{ id: 'r', kind: 'rights', weight: 'must' }], {
          parts,
          statements: words,
        })
        const going = itemsGoing({ parts })
        const undeclared = going.filter(({ rightsDeclared }) => !rightsDeclared).map(({ id }) => id)
        expect(new Set(going.map(({ id }) => id)).size).toBe(going.length)
        expect(line?.kind === 'rights' && line.undeclared.map(({ id }) => id)).toEqual(undeclared)
        expect(line?.isThere).toBe(parts.length > 0 && undeclared.length === 0)
      }),
    )
  })

  it('has as gaps all that is missing and nothing else, no should before a must', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const lines = computeReadiness(requirements, { parts, statements: words })
        const gaps = gapsOf(lines)
        expect(gaps).toHaveLength(lines.filter(({ isThere }) => !isThere).length)
        const weights = gaps.map((gap) => gap.weight)
        expect(weights).toEqual([...weights].sort())
      }),
    )
  })
})
