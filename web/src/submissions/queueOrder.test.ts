import { around, nextToRead } from './queueOrder.ts'

const row = (id: string, day: number) => ({ id, requestedAt: `2026-11-${day}T10:00:00.000Z` })
const [ana, bo, cy, di] = [row('a', 10), row('b', 11), row('c', 11), row('d', 12)]
const queue = [ana, bo, cy, di]

describe('the order of the queue', () => {
  it('has a next and a before, and an end on both sides', () => {
    expect(around(queue, bo)).toEqual({ before: ana, next: cy })
    expect(around(queue, ana).before).toBeNull()
    expect(around(queue, di).next).toBeNull()
  })

  it('begins with the first where none is open', () => {
    expect(around(queue, null)).toEqual({ before: null, next: ana })
    expect(around([], null).next).toBeNull()
  })

  it('knows where a copy stood that has left it', () => {
    expect(around([ana, di], cy)).toEqual({ before: ana, next: di })
  })

  it('goes the other way where the newest comes first', () => {
    expect(around(queue.toReversed(), cy, true)).toEqual({ before: di, next: bo })
  })

  it('goes on after an answer to the next, then to what was passed over, until nothing is left', () => {
    expect(nextToRead(queue, bo)).toBe(cy)
    expect(nextToRead(queue, di)).toBe(ana)
    expect(nextToRead([bo], bo)).toBeNull()
  })
})
