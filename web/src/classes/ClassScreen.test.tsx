import { describe, expect, it } from '@jest/globals'
import type { ClassDetail, RosterMember } from '@valise/core/classes'
import { Route, Routes } from 'react-router'
import { renderHtml, wordsOf, wren } from '../testing/renderWords.tsx'
import { ClassScreen } from './ClassScreen.tsx'
import { classQueries } from './queries.ts'

const member = (change: Partial<RosterMember>): RosterMember => ({
  ...{ personId: 'tomasz', shownName: 'Tomasz Ilves-Barr', role: 'student', me: false },
  ...change,
})

function screen(members: readonly RosterMember[], language: 'en' | 'es' = 'en') {
  const detail = {
    class: { id: 'methods', name: 'Shore Methods', code: 'FLD-204' },
    members,
  } as unknown as ClassDetail
  const crew = { classId: 'crew', className: 'Saturday Crew', classCode: 'SAT', role: 'student' as const }
  const html = renderHtml(
    <Routes>
      <Route path="/classes/:id" element={<ClassScreen />} />
    </Routes>,
    {
      language,
      path: '/classes/methods',
      session: { ...wren, memberships: [...wren.memberships, crew] } as typeof wren,
      answers: [[classQueries.one('methods').queryKey, detail]],
    },
  )
  return { html, words: wordsOf(html) }
}

describe('a class', () => {
  it('names its assessors apart from its students, and who leads it', () => {
    const { words } = screen([
      member({}),
      member({ personId: 'wren', shownName: 'Wren A.', me: true }),
      member({ personId: 'odalys', shownName: 'Odalys Fenn', role: 'assessor' }),
      member({ personId: 'rufus', shownName: 'Rufus Brandt-Osei', role: 'lead' }),
    ])
    const [assessors = '', students = ''] = words.split(/Students/)
    expect(assessors).toContain('Odalys Fenn')
    expect(assessors).toMatch(/Rufus Brandt-Osei.*lead/is)
    expect(students).toContain('Tomasz Ilves-Barr')
    expect(students).toContain('Wren A., you')
    expect(students).not.toContain('Odalys')
  })

  it('says who would put somebody in, where nobody is', () => {
    const { words } = screen([])
    expect(words).toContain('No students yet.')
    expect(words).toContain('No assessor yet.')
  })

  it('leads to the other classes that one is in, and not to itself', () => {
    const { html } = screen([])
    expect(html).toContain('href="/classes/crew"')
    expect(html).not.toContain('href="/classes/methods"')
    expect(screen([], 'es').words).not.toMatch(/Students|Assessors|other/)
  })
})
