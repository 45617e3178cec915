import fc from 'fast-check'
import { Check } from 'typebox/value'
import { fieldOf, newAnswerPiece, progressOf, questionSchema } from '../pages/index.ts'
import { anySet } from './testing/index.ts'
import { attributeSetContentSchema, attributeSetFaults, mergeAttributeSets, ratingQuestion } from './index.ts'
import type { AttributeSetContent } from './index.ts'

const complete: AttributeSetContent = {
  title: { en: 'Field Attributes' },
  about: {},
  steps: ['Not yet', 'With help', 'On my own'].map((en, n) => ({ id: `s${n}`, label: { en } })),
  attributes: [
    { id: 'a', name: { en: 'Noticing' }, meaning: { en: 'Seeing' }, looks: { s1: { en: 'When asked' } } },
  ],
}
const set = { id: '0193aaaa-0000-7000-8000-000000000001', n: 2, content: complete }

function questionOf(attributeId: string) {
  const question = ratingQuestion(set, attributeId)
  if (!question) throw new Error('no such attribute')
  return question
}

describe('what a set of attributes lacks before it is published', () => {
  it('is nothing where all of it has names', () => {
    expect(attributeSetFaults(complete)).toEqual([])
  })

  it.each<[Partial<AttributeSetContent>, object]>([
    [{ title: { en: ' ' } }, { what: 'title' }],
    [{ steps: complete.steps.slice(0, 2) }, { what: 'steps' }],
    [{ steps: [...complete.steps, { id: 'x', label: {} }] }, { what: 'step', n: 4 }],
    [{ attributes: [] }, { what: 'attributes' }],
    [{ attributes: [{ id: 'a', name: {}, meaning: {}, looks: {} }] }, { what: 'attribute', n: 1 }],
  ])('is named: %j', (change, fault) => {
    expect(attributeSetFaults({ ...complete, ...change })).toEqual([fault])
  })
})

describe('the question of an attribute', () => {
  it('holds what it means and what each step looks like, so that it can be read by itself', () => {
    expect(questionOf('a')).toMatchObject({
      ...{ kind: 'rating', asks: { en: 'Noticing' }, hint: { en: 'Seeing' } },
      attribute: { setId: set.id, n: 2, setTitle: { en: 'Field Attributes' }, id: 'a' },
      steps: [{ looks: {} }, { looks: { en: 'When asked' } }, { looks: {} }],
    })
    expect(Check(questionSchema, questionOf('a'))).toBe(true)
  })

  it('is the same question in every version of its set, and another one in another set', () => {
    const other = (change: object) => ratingQuestion({ ...set, ...change }, 'a')?.id
    expect(other({ n: 3 })).toBe(questionOf('a').id)
    expect(other({ id: '0193aaaa-0000-7000-8000-000000000002' })).not.toBe(questionOf('a').id)
    expect(ratingQuestion(set, 'no such')).toBeNull()
  })

  it('may be saved for every set that may be saved', () => {
    fc.assert(
      fc.property(anySet, (content) => {
        expect(Check(attributeSetContentSchema, content)).toBe(true)
        for (const { id } of content.attributes)
          expect(Check(questionSchema, ratingQuestion({ ...set, content }, id))).toBe(true)
      }),
    )
  })

  it('is answered by a step and a reason; evidence alone, or a step alone, is not enough', () => {
    const { given } = newAnswerPiece<'rating'>('p', questionOf('a'), null)
    const after = (answer: object, beside = 0) =>
      progressOf({ given: { ...given, answer: { ...given.answer, ...answer } } }, beside).state
    const step = { id: 's1', label: { en: 'With help' }, place: 2, of: 3 }
    expect([after({}), after({}, 1), after({ step }), after({ reason: 'I saw it' })]).toEqual([
      ...['blank', 'too-short', 'too-short', 'too-short'],
    ])
    expect(after({ step, reason: 'I saw it' })).toBe('there')
  })

  it('can stand on a sheet only with its attribute', () => {
    const ready = fieldOf({ kind: 'rating' }).isReady
    expect([ready?.(fieldOf({ kind: 'rating' }).create('q')), ready?.(questionOf('a'))]).toEqual([
      false,
      true,
    ])
  })
})

it('two windows on one set keep each step and attribute that one of them added or changed', () => {
  fc.assert(
    fc.property(anySet, anySet, anySet, (base, mine, theirs) => {
      const merged = mergeAttributeSets(base, mine, theirs)
      for (const part of ['steps', 'attributes'] as const) {
        const ids = (content: AttributeSetContent) => content[part].map(({ id }) => id)
        const added = [...ids(mine), ...ids(theirs)].filter((id) => !ids(base).includes(id))
        expect(ids(merged)).toEqual(expect.arrayContaining(added))
      }
      expect(mergeAttributeSets(base, mine, base)).toEqual(mine)
      expect(mergeAttributeSets(base, base, theirs)).toEqual(theirs)
    }),
  )
})
