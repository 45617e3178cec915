import { afterEach, beforeEach, describe, expect, it } from '@jest/globals'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { arrivals, clearArrivals, noteArrival } from './arrivals.ts'
import { endGathering, gather, openSource } from './gathering.ts'
import { toLanding } from './toLanding.ts'
import { useSources } from './useSources.ts'
import { sourceIcons } from './sourceIcons.ts'
import { allSources } from './sources.ts'

beforeEach(clearArrivals)
afterEach(endGathering)

describe('where things land', () => {
  it('is told to the server without what the window alone knows', () => {
    const onSaved = () => undefined
    expect(toLanding({ classId: 'methods', assignmentId: 'transect', onSaved })).toEqual({
      ...{ classId: 'methods', assignmentId: 'transect' },
    })
    expect(toLanding({ onSaved })).toEqual({})
  })

  it('is open for one way at a time, and shut again', () => {
    gather('photo', { classId: 'methods' })
    gather('link', {})
    expect(openSource.get()).toEqual({ source: 'link', place: {} })
    endGathering()
    expect(openSource.get()).toBeNull()
  })

  it('names what came last first, each once, and no more than can be looked through', () => {
    for (let n = 0; n < 30; n += 1) noteArrival(`item ${n}`)
    noteArrival('item 25')
    expect(arrivals.get()).toHaveLength(20)
    expect(arrivals.get().slice(0, 3)).toEqual(['item 25', 'item 29', 'item 28'])
    expect(new Set(arrivals.get()).size).toBe(20)
    clearArrivals()
    expect(arrivals.get()).toEqual([])
  })
})

describe('the ways in', () => {
  function Sources() {
    return <p>{useSources().sources.join(' ')}</p>
  }
  const sourcesWith = (school: object | undefined) =>
    inOneLine(renderHtml(<Sources />, { answers: school ? [[['sources'], school]] : [] }))
      .trim()
      .split(' ')

  it('are all that there are, where the school has all of them', () => {
    expect(sourcesWith({ drive: true, shelf: true })).toEqual([...allSources])
    expect(Object.keys(sourceIcons).sort()).toEqual([...allSources].sort())
  })

  it('leave out what the school has not set up, and what is not known yet', () => {
    expect(sourcesWith({ drive: false, shelf: true })).not.toContain('drive')
    expect(sourcesWith({ drive: true, shelf: false })).not.toContain('shelf')
    expect(sourcesWith(undefined)).not.toContain('drive')
    expect(sourcesWith(undefined)).toContain('photo')
  })
})
