// Laws of readiness on choices made at random: what holds whatever goes in.
import fc from 'fast-check'
import { Check } from 'typebox/value'
import {
  itemsGoing,
  requirementDefinitionOf,
  requirementKinds,
  toStoredResults,
} from '../assignments/index.ts'
import { factsNeeded, noFacts, REQUIREMENTS_SCHEMA, upgradeReadiness } from '../assignments/index.ts'
import type { CheckedOf, GoingPart } from '../assignments/index.ts'
import { anyRequirement, requirementSchemas } from '../assignments/testing/index.ts'
import { newDocument, newEvidencePiece } from '../pages/index.ts'
import type { ShownEvidence } from '../pages/index.ts'
import { computeReadiness, gapsOf } from './index.ts'

const ids = [1, 2, 3, 4].map((n) => `01890000-0000-7000-8000-00000000000${n}`)
const kinds = ['picture', 'video', 'data-table', 'file'] as const

const item: fc.Arbitrary<ShownEvidence> = fc.record({
  id: fc.constantFrom(...ids),
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

const statements = fc
  .dictionary(fc.constantFrom(...ids), fc.constantFrom('', 'mud', 'mud and sand', 'a b c d e'))
  .map((words) => new Map(Object.entries(words)))

const world = fc.record({
  parts: fc.array(part, { maxLength: 4 }),
  statements,
  requirements: fc.array(anyRequirement, { maxLength: 4 }),
})

function checkedRights(parts: readonly GoingPart[], words: ReadonlyMap<string, string>): CheckedOf<'rights'> {
  const requirement = { id: 'r', kind: 'rights', weight: 'must' } as const
  const result = requirementDefinitionOf('rights').check(requirement, { parts, statements: words })
  return { requirement, result }
}

describe('readiness, whatever goes in', () => {
  it('says of each requirement, in its order, what its schema lets it say', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const lines = computeReadiness(requirements, { parts, statements: words })
        expect(lines.map(({ requirement }) => requirement)).toEqual(requirements)
        for (const { requirement, result } of lines)
          expect(Check(requirementSchemas[requirement.kind].result, result)).toBe(true)
      }),
    )
  })

  it('does not depend on the order of the parts', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const isThere = (some: GoingPart[]) =>
          computeReadiness(requirements, { parts: some, statements: words }).map(
            ({ result }) => result.isThere,
          )
        expect(isThere([...parts].reverse())).toEqual(isThere(parts))
      }),
    )
  })

  it('is nowhere there where nothing goes in', () => {
    fc.assert(
      fc.property(world, ({ statements: words, requirements }) => {
        for (const line of computeReadiness(requirements, { parts: [], statements: words }))
          expect(line.result.isThere).toBe(false)
      }),
    )
  })

  it('names as undeclared just the items that are not declared, each once', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words }) => {
        const { result } = checkedRights(parts, words)
        const going = itemsGoing({ parts })
        const undeclared = going.filter(({ rightsDeclared }) => !rightsDeclared).map(({ id }) => id)
        expect(new Set(going.map(({ id }) => id)).size).toBe(going.length)
        expect(result.undeclared.map(({ id }) => id)).toEqual(undeclared)
        expect(result.isThere).toBe(parts.length > 0 && undeclared.length === 0)
      }),
    )
  })

  it('has as gaps all that is missing and nothing else, no should before a must', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const lines = computeReadiness(requirements, { parts, statements: words })
        const gaps = gapsOf(lines)
        expect(gaps).toHaveLength(lines.filter(({ result }) => !result.isThere).length)
        const weights = gaps.map(({ requirement }) => requirement.weight)
        expect(weights).toEqual([...weights].sort())
      }),
    )
  })

  it('is found by the facts that it says it needs, and by no other', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const all = { parts, statements: words }
        for (const requirement of requirements) {
          const needed = [...factsNeeded([requirement])].map((name) => [name, all[name]] as const)
          const loaded = { ...noFacts, ...Object.fromEntries(needed), parts }
          expect(computeReadiness([requirement], loaded)).toEqual(computeReadiness([requirement], all))
        }
      }),
    )
  })

  it('is read again as it was stored', () => {
    fc.assert(
      fc.property(world, ({ parts, statements: words, requirements }) => {
        const some = requirements.map((requirement, n) => ({ ...requirement, id: `r${n}` }))
        const checked = computeReadiness(some, { parts, statements: words })
        const stored = {
          schema: REQUIREMENTS_SCHEMA,
          requirements: some,
          readiness: toStoredResults(checked),
        }
        expect(upgradeReadiness(JSON.parse(JSON.stringify(stored)))).toEqual(checked)
      }),
    )
  })
})

describe('requirements of other versions', () => {
  it('of a newer Valise are refused in words', () => {
    const stored = { schema: 99, requirements: [], readiness: [] }
    expect(() => upgradeReadiness(stored)).toThrow('newer version of Valise')
  })

  /** One example of each schema that ever shipped; a new one is added beside them. */
  const examples = [
    {
      schema: 1,
      requirements: [{ id: 'a', kind: 'rights', weight: 'must' }],
      readiness: [{ id: 'a', kind: 'rights', weight: 'must', isThere: true, items: 2, undeclared: [] }],
    },
  ]
  it.each(examples)('of schema $schema are read by the newest', (stored) => {
    expect(upgradeReadiness(stored)).toEqual([
      {
        requirement: { id: 'a', kind: 'rights', weight: 'must' },
        result: { isThere: true, items: 2, undeclared: [] },
      },
    ])
  })
})

it.each(requirementKinds)('a requirement of the kind %s begins as its schema says', (kind) => {
  expect(Check(requirementSchemas[kind].requirement, requirementDefinitionOf(kind).create('new'))).toBe(true)
})
