import type { LogbookRow } from '@valise/core/reflections'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { LogbooksScreen } from './LogbooksScreen.tsx'
import { reflectionQueries } from './queries.ts'

const year = new Date().getUTCFullYear()
const logbook: LogbookRow = {
  id: 'l',
  title: 'Transect 3',
  ...{ summary: '', coverId: null, usualSheetId: null, classId: null },
  entries: 12,
  lastDay: `${year}-11-20`,
  revision: 1,
}
const around = (rows: readonly Partial<LogbookRow>[], language: 'en' | 'es' = 'en') => ({
  language,
  answers: [
    [
      reflectionQueries.logbooks().queryKey,
      rows.map((change, n) => ({ ...logbook, id: `l${n}`, ...change })),
    ],
  ] as const,
})

describe('my logbooks', () => {
  it('say how much was written, and when last', () => {
    const words = renderWords(<LogbooksScreen />, around([{}, { title: 'Winter', entries: 1 }]))
    expect(words).toContain('2 logbooks.')
    expect(words).toMatch(/Transect 3\s?12 entries/)
    expect(words).toMatch(/Winter\s?1 entry/)
    expect(words).toContain('20 Nov')
  })

  it('say nothing of a last day where nothing was written yet', () => {
    const words = renderWords(<LogbooksScreen />, around([{ entries: 0, lastDay: null }]))
    expect(words).not.toMatch(/null|Nov/)
  })

  it('tell whoever has none what one is for, and let them begin', () => {
    const html = renderHtml(<LogbooksScreen />, around([]))
    expect(html.replace(/<[^>]+>/g, ' ')).toMatch(/[A-Z][^.]+\./)
    expect(html).toContain('Title of the logbook')
  })

  it('lead to each of them', () => {
    expect(renderHtml(<LogbooksScreen />, around([{}]))).toContain('href="/logbooks/l0"')
    expect(renderWords(<LogbooksScreen />, around([{}], 'es'))).not.toMatch(/logbooks\.|entries/)
  })
})
