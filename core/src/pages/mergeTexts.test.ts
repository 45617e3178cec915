import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { mergeTexts } from './mergeTexts.ts'
import { textOf, toPlainText } from './richText.ts'

const words = fc.constantFrom('silt', 'sand', 'glasswort', 'low water')
const texts = fc.array(words, { minLength: 1, maxLength: 4 }).map((lines) => textOf(...lines))

describe('a text that two windows wrote', () => {
  it('is the one that was changed, where only one was', () => {
    fc.assert(
      fc.property(texts, texts, (base, changed) => {
        expect(mergeTexts(base, changed, base)).toEqual(changed)
        expect(mergeTexts(base, base, changed)).toEqual(changed)
        expect(mergeTexts(base, changed, changed)).toEqual(changed)
      }),
    )
  })

  it('holds what both wrote, where both did, theirs first', () => {
    const merged = mergeTexts(textOf('silt'), textOf('silt', 'sand'), textOf('silt', 'glasswort'))
    expect(toPlainText(merged)).toBe('silt\nglasswort\nsand')
    fc.assert(
      fc.property(texts, texts, texts, (base, mine, theirs) => {
        const blocks = mergeTexts(base, mine, theirs).content.map((block) => JSON.stringify(block))
        const written = [mine, theirs].filter((text) => JSON.stringify(text) !== JSON.stringify(base))
        for (const text of written)
          for (const block of text.content) expect(blocks).toContain(JSON.stringify(block))
      }),
    )
  })
})
