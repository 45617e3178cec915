import { AppError } from '@valise/core/problems'
import { Type } from 'typebox'
import { assertAnswer, parseInput } from './validation.ts'

const boat = Type.Object(
  {
    name: Type.String({ minLength: 2, maxLength: 8 }),
    length: Type.Number({ minimum: 1, maximum: 40 }),
    kind: Type.Enum(['oars', 'sail']),
    built: Type.Optional(Type.String({ format: 'date' })),
    tags: Type.Optional(Type.Array(Type.String({ minLength: 1 }))),
  },
  { additionalProperties: false },
)

function fieldsOf(value: unknown) {
  try {
    parseInput(boat, value)
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

  it('reads numbers from an address, where all is text', () => {
    const query = Type.Object({ limit: Type.Integer() }, { additionalProperties: false })
    expect(parseInput(query, { limit: '20' }, true)).toEqual({ limit: 20 })
    expect(() => parseInput(query, { limit: 'many' }, true)).toThrow(AppError)
  })

  it('holds no sign that a database cannot keep, however deep', () => {
    expect(() => parseInput(Type.Unknown(), { a: [{ b: 'nul\0' }] })).toThrow('The text holds signs')
    expect(() => parseInput(Type.Unknown(), { 'half \udc00': 1 })).toThrow('The text holds signs')
    expect(parseInput(Type.Unknown(), '🦀 whole')).toBe('🦀 whole')
  })
})

describe('what goes out', () => {
  it('is a defect when it breaks its schema', () => {
    expect(() => assertAnswer(boat, { name: 'Tern' })).toThrow('an answer breaks its schema')
  })
})
