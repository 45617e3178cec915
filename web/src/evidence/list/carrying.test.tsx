import { describe, expect, it } from '@jest/globals'
import { everything } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { rowOf } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { trayQueries } from '../base/index.ts'
import { EvidenceTile } from './EvidenceTile.tsx'
import { SelectionBar } from './SelectionBar.tsx'
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
