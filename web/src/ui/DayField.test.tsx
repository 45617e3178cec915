import { renderHtml } from '../testing/renderWords.tsx'
import { DayField } from './DayField.tsx'

const field = (value: string, hasTime = false, language: 'en' | 'es' = 'en') =>
  renderHtml(<DayField label="Due" value={value} hasTime={hasTime} onChange={() => undefined} />, {
    language,
  })
const typed = (html: string) => /<input[^>]*value="([^"]*)"/.exec(html)?.[1]
const parts = (html: string) =>
  [...html.matchAll(/<span[^>]*role="spinbutton"[^>]*>/g)].map(
    ([clause]) => /aria-label="([^"]+)"/.exec(clause)?.[1],
  )

describe('a field for a day', () => {
  it('shows the day first, then the month, whatever the browser speaks', () => {
    expect(typed(field('2026-11-27'))).toBe('27/11/2026')
    expect(typed(field('2026-11-27', false, 'es'))).toBe('27/11/2026')
  })

  it('has the hour of the day in 24 hours where it has one', () => {
    expect(typed(field('2026-11-27T17:05', true))).toBe('27/11/2026 17:05')
  })

  it('is one group with its name, of parts that are named in the language of the reader', () => {
    const english = field('2026-11-27')
    expect(english).toMatch(/role="group"[^>]*aria-labelledby="/)
    const names = parts(english)
    const spanish = parts(field('2026-11-27', false, 'es'))
    expect(names).toHaveLength(3)
    expect(spanish).toHaveLength(3)
    expect(spanish).not.toEqual(names)
  })

  it('is empty for none, and shows nothing of what is no day', () => {
    expect(typed(field('')) ?? '').not.toMatch(/\d/)
  })
})
