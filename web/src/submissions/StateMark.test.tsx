import { submissionStates } from '@valise/core/submissions'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { scale } from '../testing/samples.ts'
import { LevelMark } from './LevelMark.tsx'
import { StateMark } from './StateMark.tsx'
import { NumberMark, StayingMarks } from './StayingMarks.tsx'

describe('the state of a hand-in', () => {
  it.each(['en', 'es'] as const)('has words of its own for each state (%s)', (language) => {
    const said = submissionStates.map((state) =>
      renderWords(<StateMark row={{ state, openedAt: null }} />, { language }),
    )
    expect(new Set(said).size).toBe(submissionStates.length)
    // A sentence that is missing would show its key.
    for (const words of said) expect(words).not.toMatch(/states\.|^$/)
  })

  it('tells the student whether it was opened, and the assessor that it is theirs to answer', () => {
    const openedAt = '2026-11-24T10:42:00.000Z'
    const row = { state: 'with-assessor' as const, openedAt }
    expect(renderWords(<StateMark row={{ ...row, openedAt: null }} />)).toBe('Handed in, not opened yet')
    expect(renderWords(<StateMark row={row} />)).toBe('Handed in and opened')
    expect(renderWords(<StateMark row={row} isMine={false} />)).toBe('Not answered yet')
    expect(renderWords(<StateMark row={row} isMine={false} />, { language: 'es' })).toBe('Sin responder')
  })
})

describe('what stays of a hand-in', () => {
  const marks = (row: { lateMinutes?: number; n?: number; gaps?: number; cameAt?: string }) =>
    renderWords(
      <StayingMarks row={{ lateMinutes: 0, byItself: false, cameAt: null, n: 1, gaps: 0, ...row }} />,
    )

  it('is nothing where it came in time, for the first time, and whole', () => {
    expect(marks({})).toBe('')
  })

  it('says how late it came, in units that people use', () => {
    expect(marks({ lateMinutes: 1 })).toBe('1 minute late')
    expect(marks({ lateMinutes: 59 })).toBe('59 minutes late')
    expect(marks({ lateMinutes: 119 })).toBe('1 hour late')
    expect(marks({ lateMinutes: 25 * 60 })).toBe('1 day and 1 hour late')
    expect(marks({ lateMinutes: 5 * 24 * 60 + 300 })).toBe('5 days late')
  })

  it('says what came later although it was written in time', () => {
    expect(marks({ cameAt: '2026-11-27T17:40:00.000Z' })).toBe(
      'some of it written in time, came Fri 27 Nov, 17:40',
    )
  })

  it('counts the hand-ins and the gaps', () => {
    expect(marks({ n: 2 })).toBe('Hand-in 2')
    expect(marks({ gaps: 1 })).toBe('1 thing missing')
    expect(marks({ gaps: 3 })).toBe('3 things missing')
  })

  it('is a number once it is sealed', () => {
    expect(renderWords(<NumberMark number="MB-0412" />)).toContain('MB-0412')
    expect(renderHtml(<NumberMark number={null} />)).toBe('')
  })
})

describe('a level', () => {
  it('stands as high as it means, and always beside its words', () => {
    const heights = scale.map((level, n) => {
      const html = renderHtml(<LevelMark received={{ level, position: n + 1, of: scale.length }} />)
      expect(html).toContain(level.name.en)
      return Number(/height:(\d+)px/.exec(html)?.[1])
    })
    expect(heights).toEqual([6, 12, 18, 24])
  })

  it('is called as it was called when it was given, in the reader’s language', () => {
    const [level] = scale
    if (!level) throw new Error('no level')
    expect(renderWords(<LevelMark received={{ level, position: 1, of: 4 }} />, { language: 'es' })).toBe(
      'Nivel 1',
    )
  })
})
