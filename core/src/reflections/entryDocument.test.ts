import fc from 'fast-check'
import { countWords, newEvidencePiece, textOf } from '../pages/index.ts'
import { EVIDENCE_ROW, newEntryDocument, outlineOf, textPieceOf, WORDS_ROW } from './index.ts'

const entry = (words: string, evidence = 0) =>
  newEntryDocument({
    title: 'Low water',
    lang: 'en',
    textId: 'body',
    text: textOf(...words.split('\n')),
    evidence: Array.from({ length: evidence }, (_, n) =>
      newEvidencePiece(`piece-${n}`, { id: `item-${n}`, kind: 'picture' }),
    ),
  })

describe('an entry', () => {
  it('always has two rows: what is told, and what stands beside it', () => {
    expect(entry('silt').rows.map(({ id }) => id)).toEqual([WORDS_ROW, EVIDENCE_ROW])
    expect(newEntryDocument({ title: '', lang: 'es', textId: 't' }).rows.map(({ id }) => id)).toEqual([
      WORDS_ROW,
      EVIDENCE_ROW,
    ])
  })

  it('finds what is told by its own piece', () => {
    expect(textPieceOf(entry('silt'))?.id).toBe('body')
    expect(textPieceOf({ ...entry('silt'), rows: [] })).toBeNull()
  })
})

describe('what lists tell of an entry', () => {
  it('is all of a short one, on one line', () => {
    expect(outlineOf(entry('The gate\nwas  frozen.', 2))).toMatchObject({
      beginning: 'The gate was frozen.',
      words: 4,
      evidence: 2,
    })
    expect(outlineOf(entry(''))).toMatchObject({ beginning: '', words: 0, evidence: 0, asked: 0 })
  })

  it('is the beginning of a long one, cut between words', () => {
    const { beginning } = outlineOf(entry('mud and sand '.repeat(40)))
    expect(beginning.length).toBeLessThanOrEqual(163)
    expect(beginning).toMatch(/^(mud and sand )+(mud|mud and|mud and sand) …$/)
  })

  it('cuts a word without end, and no sign in two', () => {
    const { beginning } = outlineOf(entry('🌊'.repeat(300)))
    expect(beginning).toMatch(/^🌊+ …$/u)
    expect([...beginning].length).toBeLessThanOrEqual(163)
  })

  it('never tells more than there is, and counts the words of all of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('silt', 'sand', 'a', 'weir', 'é'), { maxLength: 200 }),
        (words) => {
          const plain = words.join(' ')
          const outline = outlineOf(entry(plain))
          expect(plain.startsWith(outline.beginning.replace(/ …$/, ''))).toBe(true)
          expect(outline.words).toBe(countWords(textOf(plain)))
        },
      ),
    )
  })
})
