import { afterEach, describe, expect, it } from '@jest/globals'
import type { EvidenceRow } from '@valise/core/evidence'
import { rowOf } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { trayQueries } from '../base/index.ts'
import { Tray } from './Tray.tsx'
import { trayPlace } from './trayPlace.ts'

const nothing = () => undefined

describe('the tray', () => {
  afterEach(() => trayPlace.set(null))
  const tray = (items: readonly EvidenceRow[], language: 'en' | 'es' = 'en') =>
    renderHtml(<Tray />, { language, answers: [[trayQueries.all().queryKey, items]] })

  it('says what it holds, also when it holds nothing', () => {
    expect(inOneLine(tray([]))).toContain('The Tray is empty')
    expect(inOneLine(tray([rowOf({})]))).toContain('1 thing')
    expect(inOneLine(tray([rowOf({}), rowOf({ id: 'other' })]))).toContain('2 things')
    expect(inOneLine(tray([rowOf({})], 'es'))).not.toMatch(/thing|Open/)
  })

  it('offers what the open screen would do with all of it, and only with something in it', () => {
    trayPlace.set({ one: 'Put it here', all: 'Put all on the page', onOne: nothing, onAll: nothing })
    expect(tray([rowOf({})])).toContain('Put all on the page')
    expect(tray([])).not.toContain('Put all on the page')
    trayPlace.set(null)
    expect(tray([rowOf({})])).not.toContain('Put all on the page')
  })

  it('shows a picture or a sign for each thing, and names none of them twice', () => {
    const html = tray([rowOf({}), rowOf({ id: 'voice', kind: 'audio', title: 'Low water, spoken' })])
    expect(html).toContain('src="/api/evidence/stake/versions/1/thumbnail"')
    expect(inOneLine(html)).not.toContain('Stake 2')
  })
})
