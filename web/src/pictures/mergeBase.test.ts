import { mergeCollages } from '@valise/core/pictures'
import type { Collage, Layer } from '@valise/core/pictures'
import { mergeBase } from './mergeBase.ts'

const layer = (id: string, x = 0): Layer => ({
  ...{ id, kind: 'number', x, y: 0, width: 9, height: 9, turn: 0, isLocked: false, group: null },
  ...{ colour: 'ink', note: '' },
})
const collage = (...layers: Layer[]): Collage => ({
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' } },
  layers,
})

/** What stands after a window is loaded anew, by what it left on the device and what the server has. */
const restored = (base: Collage, sent: readonly Collage[], mine: Collage, theirs: Collage) =>
  mergeCollages(mergeBase(mergeCollages, base, sent, theirs), mine, theirs).layers.map(({ id, x }) => id + x)

const [full, empty] = [collage(layer('a'), layer('b')), collage()]

describe('the merge base of a window that was loaded anew', () => {
  it('keeps an undo of what had arrived without an answer', () => {
    expect(restored(full, [empty], full, empty)).toEqual(['a0', 'b0'])
  })

  it('keeps what was sent and never arrived', () => {
    const more = collage(layer('a'), layer('b'), layer('c'))
    expect(restored(empty, [full], more, empty)).toEqual(['a0', 'b0', 'c0'])
  })

  it('knows what arrived also beneath what another window did since', () => {
    expect(restored(full, [empty], full, collage(layer('t')))).toEqual(['a0', 'b0', 't0'])
  })

  it('counts from the latest that arrived', () => {
    const [one, two] = [collage(layer('a', 1), layer('b')), collage(layer('a', 2), layer('b'))]
    expect(mergeBase(mergeCollages, full, [one, two], two)).toBe(two)
    expect(mergeBase(mergeCollages, full, [one, two], one)).toBe(one)
    expect(mergeBase(mergeCollages, full, [], two)).toBe(full)
  })
})
