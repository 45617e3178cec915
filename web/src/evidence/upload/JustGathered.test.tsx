import { beforeEach, describe, expect, it } from '@jest/globals'
import type { Evidence } from '@valise/core/evidence'
import { picture, version } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { NOW } from '../../testing/samples.ts'
import { evidenceQueries } from '../base/index.ts'
import { arrivals, clearArrivals, noteArrival } from './arrivals.ts'
import { JustGathered } from './JustGathered.tsx'

beforeEach(clearArrivals)

describe('what has just come in', () => {
  const answersOf = (items: readonly Evidence[]) => ({
    answers: [
      ...items.map((item) => [evidenceQueries.one(item.id).queryKey, item] as const),
      [evidenceQueries.tags().queryKey, []] as const,
    ],
  })
  const render = (items: readonly Evidence[], openId: string | null = null) => {
    for (const { id } of items) noteArrival(id)
    return renderHtml(<JustGathered openId={openId} />, answersOf(items))
  }
  const item = (id: string, change: Partial<Evidence> = {}) => ({ ...picture, id, title: '', ...change })

  it('names what came last first, each once, and no more than can be looked through', () => {
    for (let n = 0; n < 30; n += 1) noteArrival(`item ${n}`)
    noteArrival('item 25')
    expect(arrivals.get()).toHaveLength(20)
    expect(arrivals.get().slice(0, 3)).toEqual(['item 25', 'item 29', 'item 28'])
    expect(new Set(arrivals.get()).size).toBe(20)
    clearArrivals()
    expect(arrivals.get()).toEqual([])
  })

  it('asks one thing of each, and once what several share', () => {
    const words = inOneLine(render([item('a'), item('b', { rights: { state: 'missing' } })]))
    expect(words.match(/Show it/g)).toHaveLength(2)
    expect(words.match(/Who made this\?/g)).toHaveLength(1)
    expect(words).toContain('Tags for all 2')
    expect(arrivals.get()).toHaveLength(2)
  })

  it('says what is wrong with one, right where it came in', () => {
    const broken = { ...version, preview: 'none', previewProblem: 'picture-damaged' } as const
    const words = inOneLine(render([item('a', { version: broken }), item('b')]))
    expect(words.match(/This picture is damaged or incomplete\. The file is saved as it is\./g)).toHaveLength(
      1,
    )
  })

  it('asks nobody who made what came from their own camera', () => {
    const words = inOneLine(render([item('a')]))
    expect(words).toContain('Made by you.')
    expect(words).not.toContain('Who made')
  })

  it('names nothing twice: not what is open, nor what went into the bin', () => {
    expect(render([item('a')], 'a')).toBe('')
    expect(render([item('a', { binnedAt: NOW })])).toBe('')
    expect(inOneLine(render([item('a'), item('b')], 'a')).match(/Show it/g)).toHaveLength(1)
  })
})
