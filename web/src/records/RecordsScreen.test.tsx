import { recordActions } from '@valise/core/records'
import type { AuditRecord } from '@valise/core/records'
import { renderHtml } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { recordQueries } from './queries.ts'
import { RecordsScreen } from './RecordsScreen.tsx'

const record: AuditRecord = {
  ...{ id: 'r', at: NOW, actorId: 'm', actorName: 'Mireille Sund', actorRole: 'administrator' },
  ...{ action: 'person-changed', subject: 'person', subjectId: 'w', subjectName: 'Wren Adeyemi-Holt' },
  changes: {},
}
const screen = (items: readonly Partial<AuditRecord>[], language: 'en' | 'es' = 'en') => {
  const rows = items.map((change, n) => ({ ...record, id: `r${n}`, ...change }))
  const html = renderHtml(<RecordsScreen />, {
    language,
    answers: [
      [recordQueries.list('').queryKey, { pages: [{ items: rows, next: null }], pageParams: [null] }],
    ],
  })
  return (html.match(/<tr.*?<\/tr>/gs) ?? [html]).map((row) =>
    row.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' '),
  )
}

describe('the records', () => {
  it.each(['en', 'es'] as const)('have words for everything that is written down (%s)', (language) => {
    const [, ...rows] = screen(
      recordActions.map((action) => ({ action })),
      language,
    )
    expect(new Set(rows).size).toBe(recordActions.length)
    for (const row of rows) expect(row).not.toMatch(/actions\.|roles\.|\{\{/)
  })

  it('say who, in which role, did what to whom, and when', () => {
    const [, row] = screen([{}])
    expect(row).toMatch(/Thu 26 Nov, 10:42.*Mireille Sund.*administrator.*Wren Adeyemi-Holt/i)
  })

  it('say what settings were and are, in words and not in signs', () => {
    const [, row] = screen([
      {
        action: 'membership-changed',
        changes: { lastDay: ['2026-12-12', '2026-12-20'], firstDay: [null, '2026-09-01'] },
      },
    ])
    expect(row).toMatch(/12 Dec.*20 Dec/)
    expect(row).toContain('1 Sept')
    expect(row).not.toMatch(/2026-|null|true|false/)
  })

  it('name what the system did, and what nobody did', () => {
    const [, system, nobody] = screen([
      { actorRole: 'system', actorName: null, actorId: null },
      { actorRole: 'unknown', actorName: null, actorId: null, subjectId: null },
    ])
    expect(system).not.toContain('null')
    expect(system).not.toBe(nobody)
  })

  it('say so when there are none', () => {
    expect(screen([])[0]).toMatch(/[a-z]+\./)
  })
})
