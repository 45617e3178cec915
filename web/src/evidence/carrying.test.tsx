import { afterEach, describe, expect, it } from '@jest/globals'
import { everything } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { rowOf } from '../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { EvidenceTile } from './EvidenceTile.tsx'
import { SelectionBar } from './SelectionBar.tsx'
import { Tray } from './Tray.tsx'
import { trayPlace } from './trayPlace.ts'
import { trayQueries } from './trayQueries.ts'
import { useMarks } from './useMarks.ts'

const nothing = () => undefined
const choosing = (ids: readonly string[]) => ({
  ids,
  has: (id: string) => ids.includes(id),
  ...{ toggle: nothing, chooseAll: nothing, clear: nothing },
})

interface TileChange {
  readonly item?: Partial<EvidenceRow>
  readonly isOpen?: boolean
  readonly isCurrent?: boolean
  readonly chosen?: readonly string[]
}

function Tile({ item = {}, isOpen = false, isCurrent = true, chosen = [] }: TileChange) {
  const marks = useMarks()
  const acts = { choosing: choosing(chosen), marks, onOpen: nothing, onFocus: nothing }
  return <EvidenceTile item={rowOf(item)} width={150} height={108} {...{ isOpen, isCurrent, ...acts }} />
}

function tile(change: TileChange, language: 'en' | 'es' = 'en', tray: readonly EvidenceRow[] = []) {
  const html = renderHtml(<Tile {...change} />, { language, answers: [[trayQueries.all().queryKey, tray]] })
  return { html, words: inOneLine(html) }
}

describe('a thing in the grid', () => {
  it('is opened by its title, and says whether it is open', () => {
    const { html, words } = tile({ item: { alternativeText: 'A stake' } })
    expect(words).toContain('Stake 2, visit 1 Picture, 26 Nov')
    expect(html).toMatch(/data-tile="stake" aria-expanded="false"/)
    expect(tile({ isOpen: true }).html).toMatch(/data-tile="stake" aria-expanded="true"/)
  })

  it('is one stop for Tab with its tick and its case mark, or none', () => {
    expect(tile({ isCurrent: true }).html.match(/tabindex="0"/gi)).toHaveLength(3)
    expect(tile({ isCurrent: false }).html.match(/tabindex="-1"/gi)).toHaveLength(3)
  })

  it('has a tick apart from the case mark, and each says of what it is', () => {
    const { html } = tile({})
    expect(html).toContain('aria-label="Choose Stake 2, visit 1"')
    expect(html).toContain('aria-label="Pick it up: Stake 2, visit 1"')
    expect(tile({ chosen: ['stake'] }).html).toMatch(/<input[^>]* checked=""/)
    expect(html).not.toMatch(/<input[^>]* checked=""/)
    const carried = tile({}, 'en', [rowOf({})]).html
    expect(carried).toContain('aria-label="Take out of Tray: Stake 2, visit 1"')
    expect(carried).not.toMatch(/<input[^>]* checked=""/)
  })

  it('says the one lack that matters most', () => {
    expect(tile({ item: { rightsState: 'missing' } }).words).toContain('Say who made it')
    expect(tile({ item: { rightsState: 'missing' } }).words).not.toContain('No description')
    expect(tile({}).words).toContain('No description')
    expect(tile({ item: { kind: 'file' } }).words).not.toContain('No description')
    expect(tile({ item: { alternativeText: 'A stake' } }).words).not.toContain('No description')
  })

  it('is called by what it is and when it was made, where nobody said what it is', () => {
    expect(tile({ item: { title: '' } }).html).toContain('aria-label="Choose Picture from 26 Nov"')
    expect(tile({ item: { title: '' } }, 'es').words).not.toContain('Picture')
  })
})

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

describe('what is done with all that is chosen', () => {
  const bar = (ids: readonly string[], language: 'en' | 'es' = 'en') =>
    inOneLine(
      renderHtml(<SelectionBar choosing={choosing(ids)} query={everything} count={60} onBinned={nothing} />, {
        language,
      }),
    )

  it('is there with something chosen alone, and says how many', () => {
    expect(bar([]).trim()).toBe('')
    for (const words of ['2 chosen', 'Tag', 'Say who made them', 'Pick it up', 'Bin', 'All 60', 'None'])
      expect(bar(['a', 'b'])).toContain(words)
    expect(bar(['a'], 'es')).not.toMatch(/chosen|Declare|tray|None/)
  })
})
