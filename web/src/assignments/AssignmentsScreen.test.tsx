import type { AssignmentRow } from '@valise/core/assignments'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { assignment, pageWanted, rightsWanted, wordsWanted } from '../testing/samples.ts'
import { toDraft } from './assignmentDraft.ts'
import { AssignmentsScreen } from './AssignmentsScreen.tsx'
import { assignmentQueries } from './queries.ts'
import { RequirementFields } from './RequirementFields.tsx'

const { id, classId, className, classCode, title, dueAt } = assignment
const row: AssignmentRow = {
  ...{ id, classId, className, classCode, title, dueAt },
  ...{ endedAt: null, students: 15, toRead: 3, accepted: 2 },
}
const answersOf = (items: readonly AssignmentRow[]) => {
  const data = { pages: [{ items, next: null, count: items.length }], pageParams: [null] }
  return { answers: [[assignmentQueries.list().queryKey, data]] as const }
}
const list = (...items: readonly Partial<AssignmentRow>[]) =>
  renderWords(<AssignmentsScreen />, answersOf(items.map((change) => ({ ...row, ...change }))))

describe('the assignments of an assessor', () => {
  it('say when they are due, what is to be read, and how many were accepted', () => {
    const words = list({})
    expect(words).toContain('1 assignment')
    expect(words).toContain('Shore Methods, FLD-204')
    expect(words).toContain('Due Fri 27 Nov, 17:00')
    expect(words).toContain('3 to read')
    expect(words).toContain('2 of 15 accepted')
  })

  it('say that they have ended, have no due time, or nothing to read', () => {
    const words = list(
      { endedAt: '2026-11-20T12:00:00.000Z', toRead: 0, accepted: 0 },
      { id: 'tide', dueAt: null },
    )
    expect(words).toContain('Ended 20 Nov')
    expect(words).toContain('Nothing to read')
    expect(words).toContain('None of 15 accepted')
    expect(words).toContain('No due date')
  })

  it('lead to the desk where something is to be read', () => {
    expect(renderHtml(<AssignmentsScreen />, answersOf([row]))).toContain('href="/review-desk/transect"')
    expect(renderHtml(<AssignmentsScreen />, answersOf([{ ...row, toRead: 0 }]))).not.toContain(
      '/review-desk/',
    )
  })

  it('tell whoever has set none how that goes', () => {
    expect(list()).toContain('Students find what you set on Today.')
  })
})

describe('requirements as fields', () => {
  const draft = toDraft(assignment, { scale: { en: '', es: '' }, terms: { en: '', es: '' } })
  const fields = (requirements = draft.requirements, language: 'en' | 'es' = 'en') =>
    renderHtml(
      <RequirementFields requirements={requirements} language={language} onChange={() => undefined} />,
      { language },
    )

  it('show what is asked of each kind, and how firmly', () => {
    const html = fields()
    expect(draft.requirements.map(({ kind }) => kind)).toEqual(
      [pageWanted, wordsWanted, rightsWanted].map(({ kind }) => kind),
    )
    expect(html).toMatch(/Data tables[\s\S]*?value="2"/)
    expect(html).toMatch(/Fewest words[\s\S]*?value="60"/)
    expect(html.match(/aria-label="Remove requirement \d"/g)).toHaveLength(3)
  })

  it('offer each kind as long as there is room for one more', () => {
    const isShut = (html: string) =>
      /<div[^>]*role="group"[^>]*aria-label="Add a requirement".*disabled=""/s.test(html)
    expect(isShut(fields())).toBe(false)
    const full = Array.from({ length: 20 }, (_, n) => ({
      ...({ id: `r${n}`, kind: 'rights', weight: 'must' } as const),
    }))
    expect(isShut(fields(full))).toBe(true)
  })

  it('are said in Spanish too', () => {
    expect(fields(undefined, 'es')).not.toMatch(/Remove|requirement\.|Fewest words/)
  })
})
