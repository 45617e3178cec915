// What the screens of guides say, without a browser.
import type { GuideProgress, GuideRow, StageOnRoute } from '@valise/core/guides'
import type { ReactNode } from 'react'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { FollowTable } from './FollowTable.tsx'
import { HowRead } from './HowRead.tsx'
import { StageRoute } from './StageRoute.tsx'

/** The words of boxes beside each other, apart. */
const wordsOf = (element: ReactNode, language: 'en' | 'es' = 'en') =>
  renderHtml(element, { language })
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

const NOW = '2026-11-26T10:42:00.000Z'
const stage = (change: Partial<StageOnRoute>): StageOnRoute => ({
  ...{ id: 's', name: { en: 'Look', es: 'Mira' }, how: 'after', opensAt: null, closesAt: null },
  ...{ phase: 'open', progress: 'not-begun', required: 2, open: 2, ...change },
})

describe('a stage on the route', () => {
  const words = (change: Partial<StageOnRoute>, language: 'en' | 'es' = 'en') =>
    wordsOf(<StageRoute stages={[stage(change)]} shownId={null} onShow={() => undefined} />, language)

  it.each<[Partial<StageOnRoute>, string]>([
    [{}, 'Look not begun'],
    [{ progress: 'in-progress', open: 1 }, 'Look 1 question still to do'],
    [{ progress: 'done', open: 0 }, 'Look done'],
    [{ phase: 'to-come' }, 'Look not open yet opens when the stage before is done'],
    [{ phase: 'to-come', how: 'hand' }, 'Look not open yet your assessor opens it'],
    [
      { phase: 'to-come', how: 'at', opensAt: '2026-11-27T08:00:00.000Z' },
      'Look not open yet opens Fri 27 Nov, 08:00',
    ],
    [{ closesAt: '2026-11-27T17:00:00.000Z' }, 'Look not begun open until Fri 27 Nov, 17:00'],
    [{ phase: 'closed', closesAt: '2026-11-20T17:00:00.000Z' }, 'Look not begun closed Fri 20 Nov, 17:00'],
  ])('says how far it is, and what matters of its times: %j', (change, said) => {
    expect(words(change)).toBe(said)
  })

  it('is said in Spanish, too', () => {
    expect(words({ progress: 'in-progress', open: 2 }, 'es')).toBe('Mira quedan 2 preguntas')
  })

  it('can be opened only once it is open', () => {
    expect(words({ name: {} })).toBe('Untitled stage not begun')
  })
})

describe('how a guide is read', () => {
  const guide: Parameters<typeof HowRead>[0]['guide'] = {
    ...{ setBy: 'Odalys Fenn', className: 'Shore Methods', classCode: 'FLD-204' },
    ...{ reading: 'followed', dueAt: null, isEnded: false },
  }
  const words = (change: Partial<GuideRow>) => renderWords(<HowRead guide={{ ...guide, ...change }} />)
  const set = 'Odalys Fenn set it for Shore Methods (FLD-204).'

  it('is said before anybody starts', () => {
    expect(words({})).toBe(`${set} Your assessor can follow it from the start.`)
    expect(words({ reading: 'sealed', dueAt: '2026-11-27T17:00:00.000Z' })).toBe(
      `${set} It is handed in when due, Fri 27 Nov, 17:00. Until then your assessor sees how far you are, not what you write.`,
    )
    expect(words({ isEnded: true })).toBe(`${set} This guide has ended. Your copy stays yours.`)
  })
})

describe('the table of a class', () => {
  const student = (
    change: Partial<GuideProgress['students'][number]>,
  ): GuideProgress['students'][number] => ({
    ...{ personId: 'p', name: 'Tomasz Ilves-Barr', copyId: 'c', changedAt: NOW, isQuiet: false },
    ...{ cells: [], submissionId: null, handIn: null, feedback: 0, ...change },
  })
  const words = (change: Partial<GuideProgress['students'][number]>) => {
    const progress: GuideProgress = {
      ...{ at: NOW, guideId: 'g', classId: 'm', className: 'Shore Methods', classCode: 'FLD-204' },
      ...{ title: { en: 'One stake' }, reading: 'followed', dueAt: null, assignmentId: null, stages: [] },
      students: [student(change)],
    }
    return wordsOf(<FollowTable progress={progress} />).replace(/^Student State Tomasz Ilves-Barr ?/, '')
  }

  it('says what became of each copy', () => {
    expect(words({ copyId: null, changedAt: null })).toBe('Not started')
    expect(words({})).toBe('Changed Thu 26 Nov, 10:42')
    expect(words({ isQuiet: true })).toBe('Nothing for a week')
    expect(words({ handIn: 'by-itself' })).toBe('Handed in automatically')
    expect(words({ handIn: 'failed', feedback: 2 })).toBe('Could not be handed in 2 comments')
  })
})
