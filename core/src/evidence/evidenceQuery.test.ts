import fc from 'fast-check'
import { mondayOf } from '../time/index.ts'
import {
  everything,
  evidenceKinds,
  evidenceMarks,
  evidenceOrders,
  isEverything,
  readEvidenceQuery,
  readerOf,
  tallyCounts,
  tallyWeeks,
  toSearchWords,
  toTagKey,
  writeEvidenceQuery,
} from './index.ts'
import type { EvidenceQuery, LikeItems } from './index.ts'

const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2030-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10))
const word = fc.stringMatching(/^[a-zñ]{1,8}$/)
const queries: fc.Arbitrary<EvidenceQuery> = fc.record({
  words: fc.array(word, { maxLength: 3 }).map((words) => words.join(' ')),
  kinds: fc.subarray([...evidenceKinds]),
  tags: fc.uniqueArray(word, { maxLength: 4, selector: toTagKey }),
  tagged: fc.constantFrom('any', 'all'),
  classId: fc.option(fc.uuid()),
  from: fc.option(day),
  until: fc.option(day),
  marks: fc.subarray([...evidenceMarks]),
  likeId: fc.option(fc.uuid()),
  order: fc.constantFrom(...evidenceOrders),
})

describe('a query of evidence', () => {
  it('comes back from its address as it was', () => {
    fc.assert(
      fc.property(queries, (query) => {
        // How many of the tags makes a difference from two on.
        const normalized = query.tags.length < 2 ? { ...query, tagged: 'any' as const } : query
        expect(readEvidenceQuery(writeEvidenceQuery(normalized))).toEqual(normalized)
      }),
    )
  })

  it('is the empty address where it asks for everything', () => {
    expect(writeEvidenceQuery(everything)).toEqual({})
    expect(isEverything({ ...everything, order: 'title' })).toBe(true)
    expect(isEverything({ ...everything, marks: ['unused'] })).toBe(false)
  })

  it('passes over what it does not know, so that old addresses open', () => {
    const strange = {
      kind: 'picture,hologram',
      only: 'lost',
      from: '2026-13-40',
      order: 'mood',
      tagged: 'none',
    }
    expect(readEvidenceQuery(strange)).toEqual({ ...everything, kinds: ['picture'] })
  })

  it('looks for words without case, marks and signs', () => {
    expect(toSearchWords('Étang “nord-est”, 2026!')).toEqual(['etang', 'nord', 'est', '2026'])
    expect(toSearchWords('…')).toEqual([])
  })
})

describe('counts beside the filters', () => {
  const groups = fc.array(
    fc.record({
      kind: fc.constantFrom(...evidenceKinds),
      week: day.map(mondayOf),
      marks: fc.subarray([...evidenceMarks]),
      count: fc.integer({ min: 1, max: 5 }),
    }),
    { maxLength: 30 },
  )
  const chosen = fc.record({ kinds: fc.subarray([...evidenceKinds]), marks: fc.subarray([...evidenceMarks]) })

  it('are what each filter would leave of the others’ result', () => {
    fc.assert(
      fc.property(groups, chosen, (all, filters) => {
        const sum = (some: readonly LikeItems[]) => some.reduce((total, { count }) => total + count, 0)
        const matches = (kinds: readonly string[], marks: readonly string[]) => (one: LikeItems) =>
          (kinds.length === 0 || kinds.includes(one.kind)) &&
          marks.every((mark) => one.marks.some((own) => own === mark))
        const tallied = tallyCounts(all, filters)
        expect(tallied.matching).toBe(sum(all.filter(matches(filters.kinds, filters.marks))))
        for (const kind of evidenceKinds)
          expect(tallied.kinds[kind] ?? 0).toBe(sum(all.filter(matches([kind], filters.marks))))
        for (const mark of evidenceMarks)
          expect(tallied.marks[mark]).toBe(sum(all.filter(matches(filters.kinds, [...filters.marks, mark]))))
      }),
    )
  })

  it('tell every week between the first and the last, and together all that is found', () => {
    fc.assert(
      fc.property(groups, chosen, (all, filters) => {
        const weeks = tallyWeeks(all, filters, 10_000)
        const total = weeks.reduce((sum, { count }) => sum + count, 0)
        expect(total).toBe(tallyCounts(all, filters).matching)
        weeks.slice(1).forEach(({ week }, n) => {
          expect(Date.parse(week) - Date.parse(weeks[n]?.week ?? '')).toBe(7 * 86_400_000)
        })
      }),
    )
  })

  it('begin weeks on Monday', () => {
    expect(['2026-11-23', '2026-11-29', '2026-11-30'].map(mondayOf)).toEqual([
      '2026-11-23',
      '2026-11-23',
      '2026-11-30',
    ])
  })
})

describe('files that hold words', () => {
  it.each([
    ['application/pdf', 'pdf'],
    ['text/csv', 'table'],
    ['text/html', 'text'],
    ['application/json', 'text'],
    ['text/uri-list', null],
    ['application/zip', null],
    ['image/png', null],
  ])('%s is read as %s', (mime, reader) => {
    expect(readerOf(mime)).toBe(reader)
  })
})
