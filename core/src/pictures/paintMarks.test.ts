import type { Drawing } from './drawing.ts'
import { resolveGeometry } from './geometry.ts'
import { paintMarks, pinRadius, pinsOf, toFragment } from './paintMarks.ts'
import type { Mark, RecipeStep } from './schema.ts'

const original = { width: 1000, height: 800 }
const pen: Mark = {
  id: 'a',
  kind: 'pen',
  points: [
    [100, 100],
    [150, 130],
    [200, 100],
  ],
  colour: 'brick',
  width: 10,
}
const arrow: Mark = { id: 'b', kind: 'arrow', from: [300, 300], to: [500, 300], colour: 'sheet', width: 10 }
const words: Mark = { id: 'c', kind: 'text', at: [50, 600], words: 'two\nlines', size: 40, colour: 'ink' }
const pin = (id: string, region: [number, number][] | null = null): Mark => ({
  id,
  kind: 'pin',
  at: [700, 200],
  region,
  note: '',
})

/** Writes down what was drawn, with the colour, width and font that held then. */
function record() {
  const acts: string[] = []
  const state = { fillStyle: '', strokeStyle: '', lineWidth: 0, font: '' }
  const note =
    (name: string) =>
    (...values: unknown[]) => {
      const args = values.map((value) => (typeof value === 'number' ? Math.round(value) : value)).join(' ')
      acts.push(
        `${name} ${args}`.trim() +
          (name === 'stroke' ? ` ${state.strokeStyle} ${Math.round(state.lineWidth)}` : ''),
      )
    }
  const drawing = new Proxy(state as unknown as Drawing, {
    get: (target, name) => (name in target ? Reflect.get(target, name) : note(String(name))),
    set: (target, name, value) => Reflect.set(target, name, value),
  })
  return { drawing, acts }
}
const paint = (marks: Mark[], steps: RecipeStep[] = [], size = original) => {
  const { drawing, acts } = record()
  paintMarks(drawing, marks, resolveGeometry(original, steps), size)
  return acts
}

describe('marks', () => {
  it('are drawn with a rim of the other lightness under them', () => {
    const strokes = paint([pen, arrow]).filter((act) => act.startsWith('stroke'))
    expect(strokes.slice(0, 2)).toEqual(['stroke #fffdf8 16', 'stroke #96352a 10'])
    expect(strokes[2]).toBe('stroke #1c2b33 16')
  })

  it('keep their place in the picture whatever is done to it', () => {
    const half = paint([arrow], [], { width: 500, height: 400 })
    expect(half).toContain('moveTo 150 150')
    expect(half).toContain('lineTo 250 150')
    expect(half.some((act) => act === 'stroke #fffdf8 5')).toBe(true)
    const turned = paint([arrow], [{ kind: 'turn', on: true, quarters: 1, degrees: 0, mirrored: false }], {
      width: 800,
      height: 1000,
    })
    expect(turned).toContain('moveTo 500 300')
    expect(turned).toContain('lineTo 500 500')
    const cropped = paint(
      [arrow],
      [{ kind: 'crop', on: true, shape: 'free', box: { x: 0.25, y: 0.25, width: 0.5, height: 0.5 } }],
      { width: 500, height: 400 },
    )
    expect(cropped).toContain('moveTo 50 100')
  })

  it('write every line of a text, under each other', () => {
    const lines = paint([words]).filter((act) => act.startsWith('fillText'))
    expect(lines).toEqual(['fillText two 50 600', 'fillText lines 50 648'])
  })

  it('number pins in their order, over everything else', () => {
    const acts = paint([
      pin('x', [
        [600, 100],
        [800, 100],
        [800, 250],
        [600, 250],
      ]),
      pen,
      pin('y'),
    ])
    const numbers = acts.filter((act) => act.startsWith('fillText'))
    expect(numbers.map((act) => act.split(' ')[1])).toEqual(['1', '2'])
    expect(acts.findIndex((act) => act === 'stroke #96352a 10')).toBeLessThan(
      acts.findIndex((act) => act.startsWith('fillText 1')),
    )
    expect(acts).toContain('lineTo 800 250')
    expect(pinsOf([pen, pin('z')])).toHaveLength(1)
    expect(pinRadius({ width: 1000, height: 10 })).toBe(22)
  })

  it('tell their regions as media fragments', () => {
    expect(
      toFragment([
        [10.4, 20.6],
        [110, 30],
        [90, 70.8],
      ]),
    ).toBe('xywh=10,21,100,50')
    expect(
      toFragment([
        [-3, 0],
        [5, 0],
        [5, 5],
      ]),
    ).toBe('xywh=0,0,5,5')
  })

  it('draw a stroke of one point as a dot', () => {
    expect(
      paint([{ ...pen, points: [[5, 5]] } as Mark]).filter((act) => act.startsWith('lineTo')),
    ).toHaveLength(2)
  })
})
