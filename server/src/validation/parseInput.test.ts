import { AppError } from '@valise/core/problems'
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'
import type { TSchema } from 'typebox'
import { assertAnswer, parseInput } from './parseInput.ts'

const boat = object({
  name: Type.String({ minLength: 2, maxLength: 8 }),
  length: Type.Number({ minimum: 1, maximum: 40 }),
  kind: Type.Enum(['oars', 'sail']),
  built: Type.Optional(Type.String({ format: 'date' })),
  tags: Type.Optional(Type.Array(Type.String({ minLength: 1 }))),
})

function fieldsOf(value: unknown, schema: TSchema = boat) {
  try {
    parseInput(schema, value)
  } catch (error) {
    if (error instanceof AppError) return error.fields
    throw error
  }
  return []
}

describe('what comes in', () => {
  const good = { name: 'Tern', length: 4, kind: 'sail' }

  it('is given back when it keeps to the schema', () => {
    expect(parseInput(boat, good)).toEqual(good)
  })

  it.each([
    [
      { ...good, name: 'T' },
      { path: '/name', reason: 'too-short', params: { least: 2 } },
    ],
    [
      { ...good, name: 'Terns of the bay' },
      { path: '/name', reason: 'too-long', params: { most: 8 } },
    ],
    [
      { ...good, length: 0 },
      { path: '/length', reason: 'too-small', params: { least: 1 } },
    ],
    [
      { ...good, length: 41 },
      { path: '/length', reason: 'too-big', params: { most: 40 } },
    ],
    [
      { ...good, length: '4' },
      { path: '/length', reason: 'malformed' },
    ],
    [
      { ...good, kind: 'engine' },
      { path: '/kind', reason: 'not-offered' },
    ],
    [
      { ...good, built: '31.12.2026' },
      { path: '/built', reason: 'malformed' },
    ],
    [
      { ...good, tags: ['a', ''] },
      { path: '/tags/1', reason: 'missing' },
    ],
    [
      { name: 'Tern', length: 4 },
      { path: '/kind', reason: 'missing' },
    ],
    [
      { ...good, crew: 2 },
      { path: '/crew', reason: 'unknown' },
    ],
  ])('%j is refused at its field', (value, field) => {
    expect(fieldsOf(value)).toEqual([field])
  })

  it('is refused at the branch that its tag names, and at the tag where no branch has it', () => {
    const shape = Type.Union([
      object({ kind: Type.Literal('box'), wide: Type.Number() }),
      object({ kind: Type.Literal('ring'), across: Type.Number() }),
    ])
    const drawing = Type.Object({ shapes: Type.Array(shape) })
    const refusedOf = (...shapes: object[]) => fieldsOf({ shapes }, drawing)
    expect(refusedOf({ kind: 'ring', wide: 2 })).toEqual([
      { path: '/shapes/0/across', reason: 'missing' },
      { path: '/shapes/0/wide', reason: 'unknown' },
    ])
    expect(refusedOf({ kind: 'cube' }, { wide: 2 })).toEqual([
      { path: '/shapes/0/kind', reason: 'not-offered' },
      { path: '/shapes/1/kind', reason: 'missing' },
    ])
    expect(parseInput(drawing, { shapes: [{ kind: 'box', wide: 2 }] })).toBeDefined()
  })

  it('is refused by the branch that comes nearest, where branches have no tag', () => {
    const name = Type.Object({ name: Type.Union([Type.Null(), Type.String({ maxLength: 4 })]) })
    expect(fieldsOf({ name: 'Ternes' }, name)).toEqual([
      { path: '/name', reason: 'too-long', params: { most: 4 } },
    ])
    expect(fieldsOf({ name: 7 }, name)).toEqual([{ path: '/name', reason: 'malformed' }])
  })

  it('is refused with 20 fields at most, and with the first alone where it is large', () => {
    const marks = Type.Object({ marks: Type.Array(boat) })
    expect(fieldsOf({ marks: Array.from({ length: 50 }, () => ({})) }, marks)).toHaveLength(20)
    expect(fieldsOf({ marks: Array.from({ length: 5000 }, () => ({})) }, marks)).toHaveLength(1)
  })

  it('may lie deep and be much only within limits, which are looked at first', () => {
    const nested = (levels: number): unknown => JSON.parse(`${'['.repeat(levels)}${']'.repeat(levels)}`)
    expect(() => parseInput(Type.Unknown(), nested(10_000))).toThrow('too many levels')
    expect(parseInput(Type.Unknown(), nested(40))).toBeDefined()
    expect(() =>
      parseInput(
        Type.Unknown(),
        Array.from({ length: 500_000 }, () => 0),
      ),
    ).toThrow('too large')
  })

  it.each([' ', '\u00a0\u2003', '\u200b\u2060', '\u3164', '\u2800', '\t\n', '\u202e'])(
    'holds no name of blanks, such as %j',
    (name) => {
      const person = Type.Object({ name: Type.String({ minLength: 1 }), about: Type.String() })
      expect(fieldsOf({ name, about: name }, person)).toEqual([{ path: '/name', reason: 'missing' }])
      expect(parseInput(person, { name: `${name}X`, about: '' })).toBeDefined()
    },
  )

  it('reads numbers from an address, where all is text', () => {
    const query = object({ limit: Type.Integer() })
    expect(parseInput(query, { limit: '20' }, true)).toEqual({ limit: 20 })
    expect(() => parseInput(query, { limit: 'many' }, true)).toThrow(AppError)
  })

  it('holds no sign that a database cannot keep, however deep', () => {
    expect(() => parseInput(Type.Unknown(), { a: [{ b: 'nul\0' }] })).toThrow('The text has characters')
    expect(() => parseInput(Type.Unknown(), { 'half \udc00': 1 })).toThrow('The text has characters')
    expect(parseInput(Type.Unknown(), '🦀 whole')).toBe('🦀 whole')
  })
})

describe('what goes out', () => {
  it('is a defect when it breaks its schema', () => {
    expect(() => assertAnswer(boat, { name: 'Tern' })).toThrow('an answer breaks its schema')
  })
})
