import type { NextStep, TodayPlan } from '@valise/core/submissions'
import type { StageStep } from '@valise/core/today'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { assignment, feedback, fewWords, NOW, pageLacks, submissionRow } from '../testing/samples.ts'
import { LatestFeedback } from './LatestFeedback.tsx'
import { NextSteps } from './NextSteps.tsx'
import { countDue, toUpcoming } from './upcoming.ts'
import { WeekLine } from './WeekLine.tsx'
import { WriteEntry } from './WriteEntry.tsx'

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
const stepsOf = (change: Partial<TodayPlan>, stages: readonly StageStep[] = []) => {
  const today = plan(change)
  return <NextSteps plan={today} upcoming={toUpcoming(today.steps, stages)} />
}
const stepWords = (change: Partial<NextStep>, language: 'en' | 'es' = 'en') =>
  renderWords(stepsOf({ steps: [{ ...step, ...change }] }), { language })

describe('a next step', () => {
  it('names what is missing, must or should, each with its verb', () => {
    const words = stepWords({})
    expect(words).toContain('1 of 3 done')
    expect(words).toMatch(/required\s*The creek still needs 2 data tables\.\s*Choose a page/)
    expect(words).toMatch(/recommended\s*Only 12 words about Transect map so far\.\s*Write it/)
    const html = renderHtml(stepsOf({ steps: [step] }))
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
    const summer = stepsOf({ at, steps: [{ ...step, dueAt: '2026-07-01T23:30:00.000Z' }] })
    expect(renderWords(summer)).toMatch(/^tomorrow\s?2 Jul, 00:30/)
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
    const html = renderHtml(stepsOf({ steps: [step, { ...step, assignmentId: 'tide', gaps: [] }] }))
    expect(html.match(/MuiButton-contained /g)).toHaveLength(1)
    expect(html.indexOf('MuiButton-contained ')).toBeLessThan(html.lastIndexOf('<li'))
  })
})

const stage: StageStep = {
  ...{ guideId: 'stake', copyId: 'mine', stageId: 'three' },
  ...{ title: { en: 'One stake' }, name: { en: 'Visit 3' }, dueAt: '2026-11-28T12:00:00.000Z' },
  ...{ isHandedIn: false, required: 3, open: 2 },
  questions: [
    { id: 'a', kind: 'short', asks: { en: 'Which stake?' }, weight: 'must' },
    { id: 'b', kind: 'entry', asks: { en: 'What did you see?' }, weight: 'must' },
  ],
}

describe('a stage of a guide', () => {
  it('stands on the route between hand-ins, with what is still to be answered, by name', () => {
    const later = {
      ...step,
      assignmentId: 'later',
      title: { en: 'Later' },
      dueAt: '2026-12-01T12:00:00.000Z',
    }
    const words = renderWords(stepsOf({ steps: [later, step] }, [stage]))
    expect(words).toMatch(/Transect portfolio[^]*Visit 3: One stake[^]*Later/)
    expect(words).toMatch(/1 of 3 answered\s*required\s*Which stake\?\s*required\s*What did you see\?/)
    expect(words).toContain('Answer here')
    expect(renderHtml(stepsOf({}, [stage]))).toContain('href="/guide-copies/mine?stage=three"')
    const free = { ...stage, copyId: null, dueAt: null, isHandedIn: true }
    expect(renderWords(stepsOf({}, [free]))).toMatch(/^Any time\s*Visit 3: One stake[^]*Start$/)
  })

  it('stands for its hand-in, unless somebody has to hand it in or change it', () => {
    const own = { ...step, guideId: 'stake' }
    const keys = (work: NextStep) => toUpcoming([work], [stage]).map(({ key }) => key)
    expect(keys(own)).toEqual(['stake three'])
    expect(keys({ ...own, guideId: 'other' })).toHaveLength(2)
    expect(keys({ ...own, latest: { ...submissionRow, state: 'not-sealed' } })).toHaveLength(2)
  })

  it('counts as expected this week where it is due by then', () => {
    const upcoming = toUpcoming([step, { ...step, assignmentId: 'x', dueAt: null }], [stage])
    expect(countDue(upcoming, '2026-11-30T00:00:00.000Z')).toBe(2)
    const week = { from: '2026-11-23', until: '2026-11-29', endsAt: NOW, entries: 1, evidence: 0 }
    expect(renderWords(<WeekLine week={week} due={2} />)).toMatch(
      /^This week so far: 1 entry, 0 things gathered. Your classes expect 2 things by Sunday./,
    )
    expect(renderWords(<WeekLine week={week} due={0} />)).not.toContain('expect')
  })

  it('is what an entry is written for, where it asks for one', () => {
    expect(renderWords(<WriteEntry stages={[stage]} />)).toMatch(
      /^Write an entry for Visit 3\s*Another entry$/,
    )
    expect(renderWords(<WriteEntry stages={[{ ...stage, questions: [] }]} />)).toBe('Write an entry')
  })
})

describe('the rest of the day', () => {
  it('is what is to be read, the oldest first, and what is with others', () => {
    const reading = { assignmentId: 'transect', title: assignment.title, className: 'Shore Methods' }
    const words = renderWords(
      stepsOf({
        reading: [{ ...reading, toRead: 13, oldest: '2026-11-15T13:25:00.000Z' }],
        withAssessors: [submissionRow],
      }),
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
