import type { NextStep, TodayPlan } from '@valise/core/submissions'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { assignment, feedback, fewWords, NOW, pageLacks, submissionRow } from '../testing/samples.ts'
import { LatestFeedback } from './LatestFeedback.tsx'
import { NextSteps } from './NextSteps.tsx'

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
const plan = (change: Partial<TodayPlan>): TodayPlan => ({
  ...{ at: NOW, steps: [], withAssessors: [], reading: [], feedback: [] },
  ...change,
})
const stepWords = (change: Partial<NextStep>, language: 'en' | 'es' = 'en') =>
  renderWords(<NextSteps plan={plan({ steps: [{ ...step, ...change }] })} />, { language })

describe('a next step', () => {
  it('names what is missing, must or should, each with its verb', () => {
    const words = stepWords({})
    expect(words).toContain('1 of 3 done')
    expect(words).toMatch(/required\s*The creek still needs 2 data tables\.\s*Choose a page/)
    expect(words).toMatch(/recommended\s*Only 12 words about Transect map so far\.\s*Write it/)
    const html = renderHtml(<NextSteps plan={plan({ steps: [step] })} />)
    expect(html).toContain('href="/assignments/transect?mend=page"')
  })

  it('says in words what is due today or tomorrow, with the date below', () => {
    expect(stepWords({})).toMatch(/^tomorrow\s?27 Nov, 17:00/)
    expect(stepWords({ dueAt: '2026-11-26T17:00:00.000Z' })).toMatch(/^today\s?26 Nov, 17:00/)
    expect(stepWords({ dueAt: '2026-12-01T12:00:00.000Z' })).toMatch(/^Tue 1 Dec\s?12:00/)
    expect(stepWords({}, 'es')).toMatch(/^mañana\s?27 nov, 17:00/)
  })

  it('tells the day by the clock of the school, not by that of the world', () => {
    // In summer Lisbon is an hour ahead: this is half past midnight of the 2nd.
    const at = '2026-07-01T10:00:00.000Z'
    const summer = plan({ at, steps: [{ ...step, dueAt: '2026-07-01T23:30:00.000Z' }] })
    expect(renderWords(<NextSteps plan={summer} />)).toMatch(/^tomorrow\s?2 Jul, 00:30/)
  })

  it('says how long something is overdue, and that something has no end', () => {
    const over = { isOverdue: true, dueAt: '2026-11-26T08:42:00.000Z' }
    expect(stepWords(over)).toMatch(/^Thu 26 Nov\s?2 hours ago/)
    expect(stepWords({ dueAt: null })).toMatch(/^Any time/)
  })

  it('has one verb: mend, hand in, or read what is to change', () => {
    expect(stepWords({})).toContain('Finish and hand in')
    expect(stepWords({ gaps: [] })).toMatch(/\nHand in$/)
    const latest = { ...submissionRow, state: 'changes-asked' as const }
    const words = stepWords({ kind: 'change', latest })
    expect(words).toContain('Change Transect portfolio')
    expect(words).toContain('Read and change')
  })

  it('shows three gaps at most', () => {
    const gaps = [1, 2, 3, 4].map((n) => ({
      requirement: { ...fewWords.requirement, id: `g${n}` },
      result: { ...fewWords.result, item: { id: 'x', title: `Item ${n}` } },
    }))
    const words = stepWords({ gaps })
    expect(words).toContain('Item 3')
    expect(words).not.toContain('Item 4')
  })

  it('has the one filled button where it stands on top', () => {
    const html = renderHtml(
      <NextSteps plan={plan({ steps: [step, { ...step, assignmentId: 'tide', gaps: [] }] })} />,
    )
    expect(html.match(/MuiButton-contained /g)).toHaveLength(1)
    expect(html.indexOf('MuiButton-contained ')).toBeLessThan(html.lastIndexOf('<li'))
  })
})

describe('the rest of the day', () => {
  it('is what is to be read, the oldest first, and what is with others', () => {
    const reading = { assignmentId: 'transect', title: assignment.title, className: 'Shore Methods' }
    const words = renderWords(
      <NextSteps
        plan={plan({
          reading: [{ ...reading, toRead: 13, oldest: '2026-11-15T13:25:00.000Z' }],
          withAssessors: [submissionRow],
        })}
      />,
    )
    expect(words).toMatch(/Sun 15 Nov\s?the oldest/)
    expect(words).toContain('13 copies, Shore Methods')
    expect(words).toContain('Handed in')
    expect(words).toContain('Handed in, not opened yet')
  })

  it('ends with what was said last: by whom, on what, and who reads it', () => {
    const said = { ...feedback, submissionId: 's1', assignment: assignment.title, state: 'accepted' as const }
    const words = renderWords(
      <LatestFeedback
        items={[
          { ...said, isRequest: true },
          { ...said, id: 'f2', isOpen: true },
        ]}
      />,
    )
    expect(words).toMatch(/Odalys Fenn on Transect portfolio\s?Tue 24 Nov, 10:42, only you and the teachers/)
    expect(words).toContain('Tue 24 Nov, 10:42, everyone who can see the page')
    expect(words.match(/Changes asked for/g)).toHaveLength(1)
  })
})
