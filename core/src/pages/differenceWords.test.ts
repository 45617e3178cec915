import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { differenceWords } from './index.ts'

const words = fc.constantFrom('low', 'water', 'silt', 'stake', 'the', 'bank', '4', 'creek', '\n', '\n\n')
const texts = fc.array(words, { maxLength: 40 }).map((list) => list.join(' '))
const textOf = (changes: ReturnType<typeof differenceWords>, not: 'added' | 'removed') =>
  changes.flatMap(({ how, words }) => (how === not ? [] : [words])).join('')

/** A text that shares no word with another one of another seed. */
const rewritten = (count: number, seed: string, perLine: number) =>
  Array.from({ length: count }, (_, n) => `${seed}${n}${n % perLine === 0 ? '\n' : ''}`).join(' ')

describe('the difference between two texts', () => {
  it('holds both of them, whatever changed', () => {
    fc.assert(
      fc.property(texts, texts, (before, after) => {
        const changes = differenceWords(before, after)
        expect(textOf(changes, 'added')).toBe(before)
        expect(textOf(changes, 'removed')).toBe(after)
        expect(changes.every(({ words }) => words !== '')).toBe(true)
        if (before === after) expect(changes.every(({ how }) => how === 'same')).toBe(true)
      }),
    )
  })

  it('shows the words that changed within a paragraph, between paragraphs that stayed', () => {
    expect(
      differenceWords('First.\nLow water at seven.\nLast.', 'First.\nLow water at nine.\nLast.'),
    ).toEqual([
      { how: 'same', words: 'First.\nLow water at ' },
      { how: 'removed', words: 'seven' },
      { how: 'added', words: 'nine' },
      { how: 'same', words: '.\nLast.' },
    ])
  })

  it.each([
    ['in one paragraph', Infinity],
    ['in many paragraphs', 10],
    ['in a paragraph for each word', 1],
  ])(
    'of a text of 40,000 words that was rewritten %s is that one took the place of the other',
    (_, perLine) => {
      const [before, after] = [rewritten(40_000, 'a', perLine), rewritten(40_000, 'b', perLine)]
      expect(differenceWords(before, after)).toEqual([
        { how: 'removed', words: before },
        { how: 'added', words: after },
      ])
    },
  )

  it('finds one changed word in a text of 40,000', () => {
    const before = rewritten(40_000, 'a', 100)
    const changes = differenceWords(before, before.replace('a20050', 'mud'))
    expect(changes.map(({ how }) => how)).toEqual(['same', 'removed', 'added', 'same'])
    expect(changes[2]).toEqual({ how: 'added', words: 'mud' })
  })
})
