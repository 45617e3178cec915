import { afterEach, beforeEach, describe, expect, it } from '@jest/globals'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { arrivals, clearArrivals, noteArrival } from './arrivals.ts'
import { endGathering, gather, openWay } from './gathering.ts'
import { toLanding } from './toLanding.ts'
import { useWaysIn } from './useWaysIn.ts'
import { wayIcons } from './wayIcons.ts'
import { allWays } from './ways.ts'

beforeEach(clearArrivals)
afterEach(endGathering)

describe('where things land', () => {
  it('is told to the server without what the window alone knows', () => {
    const onKept = () => undefined
    expect(toLanding({ classId: 'methods', assignmentId: 'transect', onKept })).toEqual({
      ...{ classId: 'methods', assignmentId: 'transect' },
    })
    expect(toLanding({ onKept })).toEqual({})
  })

  it('is open for one way at a time, and shut again', () => {
    gather('photo', { classId: 'methods' })
    gather('link', {})
    expect(openWay.get()).toEqual({ way: 'link', place: {} })
    endGathering()
    expect(openWay.get()).toBeNull()
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
  function Ways() {
    return <p>{useWaysIn().ways.join(' ')}</p>
  }
  const waysWith = (school: object | undefined) =>
    inOneLine(renderHtml(<Ways />, { answers: school ? [[['ways-in'], school]] : [] }))
      .trim()
      .split(' ')

  it('are all that there are, where the school has all of them', () => {
    expect(waysWith({ drive: true, shelf: true })).toEqual([...allWays])
    expect(Object.keys(wayIcons).sort()).toEqual([...allWays].sort())
  })

  it('leave out what the school has not set up, and what is not known yet', () => {
    expect(waysWith({ drive: false, shelf: true })).not.toContain('drive')
    expect(waysWith({ drive: true, shelf: false })).not.toContain('shelf')
    expect(waysWith(undefined)).not.toContain('drive')
    expect(waysWith(undefined)).toContain('photo')
  })
})
