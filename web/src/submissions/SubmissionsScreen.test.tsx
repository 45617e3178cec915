import type { NextStep, SubmissionRow } from '@valise/core/submissions'
import { renderWords } from '../testing/renderWords.tsx'
import { assignment, fewWords, NOW, pageLacks, submissionRow } from '../testing/samples.ts'
import { submissionQueries } from './queries.ts'
import { SubmissionsScreen } from './SubmissionsScreen.tsx'

const step: NextStep = {
  ...{
    kind: 'hand-in',
    askedBy: null,
    assignmentId: 'transect',
    guideId: null,
    title: assignment.title,
    dueAt: assignment.dueAt,
  },
  ...{ isOverdue: false, there: 1, of: 3, gaps: [pageLacks, fewWords], latest: null },
}
const screen = (steps: NextStep[], rows: readonly Partial<SubmissionRow>[], language: 'en' | 'es' = 'en') => {
  const items = rows.map((change, n) => ({ ...submissionRow, id: `s${n}`, ...change }))
  const plan = { at: NOW, steps, withAssessors: [], reading: [], feedback: [] }
  return renderWords(<SubmissionsScreen />, {
    language,
    answers: [
      [submissionQueries.today().queryKey, plan],
      [
        submissionQueries.list().queryKey,
        { pages: [{ items, next: null, count: items.length }], pageParams: [null] },
      ],
    ],
  })
}

describe('my submissions', () => {
  it('say in one sentence what is to be handed in and what was', () => {
    expect(screen([step], [{}, {}])).toContain('1 thing to hand in, 2 handed in')
    expect(screen([], [])).toContain('Nothing to hand in, nothing handed in yet')
    expect(screen([step, { ...step, assignmentId: 'tide' }], [{}])).toContain(
      '2 things to hand in, 1 handed in',
    )
    expect(screen([step], [{}], 'es')).not.toMatch(/hand|list\./)
  })

  it('say of what is open how far it is, when it is due, and what became of it before', () => {
    const latest = { ...submissionRow, state: 'taken-back' as const }
    const words = screen([{ ...step, latest }], [])
    expect(words).toContain('1 of 3 done')
    expect(words).toContain('Due Fri 27 Nov, 17:00')
    expect(words).toContain('Taken back')
    expect(screen([{ ...step, dueAt: null, of: 0, there: 0 }], [])).toContain('No due date.')
  })

  it('keep each hand-in with its state, its number and its time', () => {
    const words = screen(
      [],
      [
        { state: 'replaced', number: 'MB-0001' },
        { state: 'accepted', n: 2, number: 'MB-0002' },
      ],
    )
    expect(words).toContain('Handed in again later')
    expect(words).toContain('MB-0001')
    expect(words).toContain('Hand-in 2')
    expect(words.match(/Fri 20 Nov, 16:42/g)).toHaveLength(2)
  })
})
