import { describe, expect, it } from '@jest/globals'
import { beginHistory, change, redo, undo } from './history.ts'

describe('the way back and forth', () => {
  const [empty, one, two] = [{ steps: [] as number[] }, { steps: [1] }, { steps: [1, 2] }]

  it('leads through every change, and forgets what was taken back once something else is done', () => {
    const made = change(change(beginHistory(empty), one), two)
    expect(undo(made).present).toBe(one)
    expect(undo(undo(made)).present).toBe(empty)
    expect(redo(undo(made)).present).toBe(two)
    expect(redo(change(undo(made), empty)).present).toBe(empty)
  })

  it('takes no change for none', () => {
    const history = beginHistory(one)
    expect(change(history, { steps: [1] })).toBe(history)
    expect([undo(history).present, redo(history).present]).toEqual([one, one])
  })
})
