// Flat lists as trees.
import { nestByDepth } from './nestByDepth.ts'
import type { Nested } from './nestByDepth.ts'

const show = (nested: readonly Nested<[string, number]>[]): string =>
  nested.map(({ item, within }) => item[0] + (within.length > 0 ? `(${show(within)})` : '')).join(' ')
const nest = (...items: [string, number][]) => show(nestByDepth(items, ([, depth]) => depth))

describe('a flat list with depths', () => {
  it('becomes lists in lists', () => {
    expect(nest(['a', 0], ['b', 1], ['c', 2], ['d', 1], ['e', 0])).toBe('a(b(c) d) e')
  })

  it('holds every item once, also where depths jump or begin deep', () => {
    expect(nest(['a', 0], ['b', 3], ['c', 2], ['d', 0])).toBe('a(b c) d')
    expect(nest(['a', 2], ['b', 1])).toBe('a b')
    expect(nest()).toBe('')
  })
})
