import { renderWords } from '../testing/renderWords.tsx'
import { useSize } from './useSize.ts'
import { useWhen } from './useWhen.ts'
import type { When } from './useWhen.ts'

function Said({ say }: { readonly say: (when: When) => string | null }) {
  return <p>{say(useWhen())}</p>
}
const say = (words: (when: When) => string | null, language: 'en' | 'es' = 'en') =>
  renderWords(<Said say={words} />, { language })

const thisYear = new Date().getUTCFullYear()
const noon = `${thisYear}-07-01T12:00:00.000Z`

describe('instants in words', () => {
  it('are told in the zone of the school, summer time included', () => {
    expect(say((when) => when.time(noon))).toBe('13:00')
    expect(say((when) => when.time(`${thisYear}-01-10T12:00:00.000Z`))).toBe('12:00')
    expect(say((when) => String(when.hour(new Date(noon))))).toBe('13')
  })

  it('have the day first and no comma inside, and the year only where it is another', () => {
    expect(say((when) => when.date(noon))).toBe('1 Jul')
    expect(say((when) => when.date('2019-07-01T12:00:00.000Z'))).toBe('1 Jul 2019')
    expect(say((when) => when.dayTime('2019-07-01T12:00:00.000Z'))).toBe('Mon 1 Jul 2019, 13:00')
    expect(say((when) => when.longDay('2026-11-26T10:42:00.000Z'))).toBe('Thursday 26 November')
  })

  it('follow the language', () => {
    expect(say((when) => when.date('2019-01-05T12:00:00.000Z'), 'es')).toMatch(/^5 ene 2019$/)
  })

  it('take days that were entered as they are, without a zone', () => {
    expect(say((when) => when.localDay(`${thisYear}-12-12`))).toBe('12 Dec')
    expect(say((when) => when.localDay('2019-12-12'))).toBe('12 Dec 2019')
  })

  it('call today and tomorrow by their names, by the midnight of the school', () => {
    const soon = (at: string, now: string) => say((when) => when.soonDay(at, now))
    expect(soon('2026-11-26T23:59:00.000Z', '2026-11-26T00:00:00.000Z')).toBe('today')
    expect(soon('2026-11-27T00:00:00.000Z', '2026-11-26T23:59:00.000Z')).toBe('tomorrow')
    expect(soon('2026-11-28T00:00:00.000Z', '2026-11-26T23:59:00.000Z')).toBe('')
    expect(soon('2026-11-25T12:00:00.000Z', '2026-11-26T12:00:00.000Z')).toBe('')
    // The night in which the clocks go back has 25 hours, and is one night all the same.
    expect(soon('2026-10-26T00:30:00.000Z', '2026-10-24T23:30:00.000Z')).toBe('tomorrow')
  })
})

describe('sizes in words', () => {
  function Size({ bytes }: { readonly bytes: number }) {
    return <p>{useSize()(bytes)}</p>
  }
  it('grow by their unit, and stay short', () => {
    const said = [0, 900, 48 * 1024, 5 * 1024 ** 2, 3 * 1024 ** 3].map((bytes) =>
      renderWords(<Size bytes={bytes} />),
    )
    expect(new Set(said).size).toBe(said.length)
    expect(said[2]).toBe('48 kB')
    for (const words of said) expect(words.length).toBeLessThan(10)
  })
})
