import fc from 'fast-check'
import type { Collage, Layer } from './collageSchema.ts'
import { decideCollage } from './decideCollage.ts'
import { upgradeCollage } from './upgradeCollage.ts'
import type { BoardDrawing } from './drawing.ts'
import { layOutWords } from './layOutWords.ts'
import { arrowPoints, boardColours, paintCollage, cropShown, readableOn } from './paintCollage.ts'
import type { Painter } from './paintCollage.ts'
import { placePictures } from './placePictures.ts'
import { inReadingOrder, numbersOf, picturesOf, wordsOn } from './readCollage.ts'
import { traceShape } from './traceShape.ts'
import { boardSizes, collageColours, collageShapes, pictureShapes } from './valueLists.ts'

const common = { width: 100, height: 50, turn: 0, isLocked: false, group: null }
const number = (id: string, x = 0, y = 0, note = ''): Layer => ({
  ...{ ...common, id, kind: 'number', x, y, colour: 'petrol', note },
})
const picture = (id: string, x = 0, y = 0): Layer => ({
  ...{ ...common, id, kind: 'picture', x, y, evidenceId: id, n: 1, shape: 'box' },
  focus: { x: 0.5, y: 0.5, zoom: 1 },
})
const text = (id: string, words: string, x = 0, y = 0): Layer => ({
  ...{ ...common, id, kind: 'text', x, y, words, size: 20, font: 'text', align: 'left', ink: 'ink' },
})
const collage = (...layers: Layer[]): Collage => ({
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' }, layers },
})

/** Writes down what was done, each with the colour that held then. */
function record(): { readonly painter: Painter<string>; readonly acts: string[] } {
  const acts: string[] = []
  const state = { fillStyle: '', strokeStyle: '', globalCompositeOperation: '' }
  const note =
    (name: string) =>
    (...values: unknown[]) => {
      const args = values.map((value) => (typeof value === 'number' ? Math.round(value) : value)).join(' ')
      const colour = { fill: state.fillStyle, stroke: state.strokeStyle }[name] ?? ''
      acts.push(
        [name, args, colour, name === 'stroke' ? state.globalCompositeOperation : ''].join(' ').trim(),
      )
      return { width: String(values[0]).length * 10 }
    }
  const drawing = new Proxy(state as unknown as BoardDrawing<string>, {
    get: (target, name) => (name in target ? Reflect.get(target, name) : note(String(name))),
    set: (target, name, value) => Reflect.set(target, name, value),
  })
  const painter: Painter<string> = {
    drawing,
    pictureOf: ({ evidenceId }) =>
      evidenceId === 'gone' ? null : { image: evidenceId, width: 200, height: 200 },
    clearSheet: (size) => {
      acts.push(`sheet ${size.width} ${size.height}`)
      return { drawing, image: 'sheet' }
    },
  }
  return { painter, acts }
}
const paint = (board: Collage, scale = 1) => {
  const { painter, acts } = record()
  paintCollage(painter, board, scale)
  return acts
}

describe('a collage is painted', () => {
  it('from its ground up, each layer turned about its middle', () => {
    const acts = paint(collage(picture('a', 10, 20), { ...number('b', 300, 100), turn: 90 }), 2)
    expect(acts[1]).toBe('scale 2 2')
    expect(acts.indexOf('fillRect 0 0 1600 900')).toBeLessThan(acts.indexOf('translate 60 45'))
    const at = acts.indexOf('translate 350 125')
    expect(acts.slice(at, at + 3)).toEqual(['translate 350 125', 'rotate 2', 'translate -50 -25'])
  })

  it('with the part of each picture that fills its box, cut to its shape', () => {
    const acts = paint(collage(picture('a')))
    expect(acts).toContain('clip')
    // A square in a box twice as wide as high: a stripe from its middle.
    expect(acts).toContain('drawImage a 0 50 200 100 0 0 100 50')
  })

  it('with a plain shape where a picture is gone', () => {
    const acts = paint(collage(picture('gone')))
    expect(acts).toContain(`fill  ${boardColours.sea}`)
    expect(acts.some((act) => act.startsWith('drawImage'))).toBe(false)
  })

  it('with a picture as its ground', () => {
    const board: Collage = { ...collage(), background: { kind: 'picture', evidenceId: 'a', n: 1 } }
    expect(paint(board)).toContain('drawImage a 0 44 200 113 0 0 1600 900')
  })

  it('with numbers without a gap, in the order of the layers', () => {
    const acts = paint(collage(number('a'), text('t', 'x'), number('b')))
    expect(acts.filter((act) => /^fillText \d/.test(act)).map((act) => act.split(' ')[1])).toEqual(['1', '2'])
  })

  it('with strokes on a sheet of their own, where rubbing out leaves what lies under it', () => {
    const stroke = (isEraser: boolean) => ({
      ...{ points: [[0, 0], [1000, 1000]] as [number, number][], colour: 'ink' as const, width: 10, isEraser }, // prettier-ignore
    })
    const sheet: Layer = {
      ...{ ...common, id: 's', kind: 'drawing', x: 0, y: 0, strokes: [stroke(false), stroke(true)] },
    }
    const acts = paint(collage(sheet), 2)
    expect(acts).toContain('sheet 200 100')
    expect(acts.filter((act) => act.startsWith('stroke'))).toEqual([
      `stroke  ${boardColours.ink} source-over`,
      `stroke  ${boardColours.ink} destination-out`,
    ])
    expect(acts).toContain('drawImage sheet 0 0 200 100 0 0 100 50')
  })

  it('with words broken to the width of their box', () => {
    const acts = paint(collage(text('t', 'low water at seven')))
    expect(
      acts.filter((act) => act.startsWith('fillText')).map((act) => act.replace(/ \d+ \d+$/, '')),
    ).toEqual(['fillText low water', 'fillText at seven'])
  })

  it('without an outline that any shape lacks, whatever its size and tail', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pictureShapes, ...collageShapes),
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 900 }),
        fc.option(fc.tuple(fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 }))),
        (shape, width, height, tail) => {
          const spots: number[] = []
          const note = (...values: number[]) => void spots.push(...values)
          const names = ['moveTo', 'lineTo', 'quadraticCurveTo', 'bezierCurveTo', 'arcTo', 'ellipse', 'rect']
          const nothing = { beginPath: () => undefined, closePath: () => undefined }
          const outline = { ...nothing, ...Object.fromEntries(names.map((name) => [name, note])) }
          traceShape(outline as never, shape, width, height, tail)
          return spots.length > 0 && spots.every(Number.isFinite)
        },
      ),
    )
  })
})

describe('what a board shows', () => {
  it('is the middle of a picture, never more than there is', () => {
    const shown = cropShown({ width: 400, height: 200 }, { width: 100, height: 100 }, { x: 1, y: 0, zoom: 2 })
    expect(shown).toEqual({ x: 300, y: 0, width: 100, height: 100 })
  })

  it('is readable in every colour', () => {
    for (const colour of collageColours) expect(readableOn(colour)).not.toBe(colour)
  })

  it('is an arrow from the left middle of its box to the right one, bent over the middle', () => {
    const arrow = { ...common, id: 'a', kind: 'arrow' as const, x: 0, y: 0, colour: 'tan' as const }
    const points = arrowPoints({ ...arrow, lineWidth: 4, bend: 0.5, hasHead: true })
    expect(points).toEqual([
      { x: 0, y: 25 },
      { x: 50, y: -25 },
      { x: 100, y: 25 },
    ])
  })

  it('is read from the upper left in rows, whatever the order of the layers', () => {
    const layers = [picture('d', 300, 310), picture('b', 300, 4), picture('a', 0, 0), picture('c', 10, 300)]
    expect(inReadingOrder(layers).map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd'])
    const board: Collage = {
      ...collage(...layers, picture('a', 900, 900), text('t', ' One tide '), text('u', ' ')),
      background: { kind: 'picture', evidenceId: 'ground', n: 2 },
    }
    expect(picturesOf(board).map(({ evidenceId }) => evidenceId)).toEqual(['ground', 'a', 'b', 'c', 'd'])
    expect(wordsOn(board)).toEqual(['One tide'])
    expect(numbersOf(collage(number('x'), picture('y'), number('z'))).map(({ id }) => id)).toEqual(['x', 'z'])
  })
})

describe('words in a box', () => {
  const measure = { measureText: (words: string) => ({ width: [...words].length }) }

  it('keep all their letters, and no line is wider than the box', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.integer({ min: 1, max: 30 }), (words, width) => {
        const lines = layOutWords(measure, words, width)
        const bare = (some: string) => some.replaceAll(/[ \n]/g, '')
        expect(lines.every((line) => [...line].length <= width)).toBe(true)
        expect(bare(lines.join(''))).toBe(bare(words))
      }),
    )
  })

  it('keep the breaks that were typed', () => {
    expect(layOutWords(measure, 'one\n\ntwo three', 5)).toEqual(['one', '', 'two', 'three'])
  })
})

describe('pictures that are laid down together', () => {
  const some = (count: number) =>
    Array.from({ length: count }, (_, n) => ({
      ...{ id: `p${n}`, evidenceId: `e${n}`, n: 1, width: 400 + 37 * n, height: 300 },
    }))

  it('lie on the board, do not cover each other, and keep their shape', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom('wide', 'square', 'tall', 'a4'),
        (count, size) => {
          const board = boardSizes[size]
          const wanted = some(count)
          const laid = placePictures({ size, layers: [] }, wanted)
          laid.forEach((one, n) => {
            const { width = 1, height = 1 } = wanted[n] ?? {}
            expect(one.width / one.height).toBeCloseTo(width / height, 6)
            expect(Math.min(one.x, one.y)).toBeGreaterThanOrEqual(0)
            expect(one.x + one.width).toBeLessThanOrEqual(board.width)
            expect(one.y + one.height).toBeLessThanOrEqual(board.height)
            for (const other of laid.slice(n + 1)) {
              const isApart =
                one.x + one.width <= other.x ||
                other.x + other.width <= one.x ||
                one.y + one.height <= other.y ||
                other.y + other.height <= one.y
              expect(isApart).toBe(true)
            }
          })
        },
      ),
    )
  })

  it('lie smaller in the middle where something lies already', () => {
    const [first] = placePictures({ size: 'wide', layers: [] }, some(1))
    const [next] = placePictures({ size: 'wide', layers: first ? [first] : [] }, some(1))
    expect(next?.width).toBeLessThan(first?.width ?? 0)
  })
})

describe('a collage', () => {
  it('is kept where each layer has a name of its own', () => {
    expect(decideCollage(collage(number('a'), number('b')))).toEqual({ allowed: true })
    expect(decideCollage(collage(number('a'), number('a')))).toMatchObject({ allowed: false })
  })

  it('of a newer Valise is left alone', () => {
    expect(upgradeCollage(collage(number('a')))).toEqual(collage(number('a')))
    expect(() => upgradeCollage({ schema: 2 })).toThrow(expect.objectContaining({ reason: 'collage-newer' }))
  })
})
