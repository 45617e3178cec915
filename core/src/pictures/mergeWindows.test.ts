import type { Collage, Layer } from './collageSchema.ts'
import { mergeBase } from '../json/index.ts'
import { mergeCollages, mergeRecipes } from './mergeWindows.ts'
import { stepOf } from './runRecipe.ts'
import type { PictureRecipe, RecipeStep } from './schema.ts'

const recipe = (...steps: RecipeStep[]): PictureRecipe => ({ schema: 1, steps })
const turn = (quarters: 0 | 1 | 2): RecipeStep => ({
  ...{ kind: 'turn', on: true, quarters, degrees: 0, mirrored: false },
})
const light: RecipeStep = { kind: 'light', on: true, brightness: 9, contrast: 0, warmth: 0, sharpness: 0 }
const region = (x: number) => ({
  ...{ corners: [[x, 0], [x + 9, 0], [x + 9, 9]] as [number, number][], radius: 0, fill: 'cover' as const }, // prettier-ignore
  seed: 1,
})
const conceal = (...places: number[]): RecipeStep => ({
  kind: 'conceal',
  on: true,
  parts: places.map(region),
})
const marks = (...notes: string[]): RecipeStep => ({
  ...{ kind: 'mark', on: true },
  marks: notes.map((note) => ({ id: note, kind: 'pin', at: [1, 1], region: null, note })),
})

describe('recipes of two windows', () => {
  it('take the steps of both, this window’s where both changed one', () => {
    expect(mergeRecipes(recipe(), recipe(turn(1)), recipe(light)).steps).toEqual([turn(1), light])
    expect(mergeRecipes(recipe(turn(0)), recipe(turn(1)), recipe(turn(2))).steps).toEqual([turn(1)])
    expect(mergeRecipes(recipe(turn(0)), recipe(turn(0)), recipe(turn(2))).steps).toEqual([turn(2)])
    expect(mergeRecipes(recipe(turn(0)), recipe(), recipe(turn(0), light)).steps).toEqual([light])
  })

  it('conceal what either conceals', () => {
    const places = (merged: PictureRecipe) =>
      stepOf(merged.steps, 'conceal')?.parts.map(({ corners }) => corners[0]?.[0])
    expect(places(mergeRecipes(recipe(), recipe(turn(1)), recipe(conceal(10))))).toEqual([10])
    expect(places(mergeRecipes(recipe(), recipe(conceal(50)), recipe(conceal(10))))).toEqual([50, 10])
    expect(places(mergeRecipes(recipe(conceal(10)), recipe(), recipe(conceal(10, 50))))).toEqual([10, 50])
  })

  it('keep the marks of both', () => {
    const merged = mergeRecipes(recipe(marks('a')), recipe(marks('a', 'b')), recipe(marks('a', 'c')))
    expect(stepOf(merged.steps, 'mark')?.marks.map(({ id }) => id)).toEqual(['a', 'c', 'b'])
    expect(mergeRecipes(recipe(marks('a')), recipe(), recipe(marks('a'))).steps).toEqual([])
  })
})

const layer = (id: string, x = 0): Layer => ({
  ...{ id, kind: 'number', x, y: 0, width: 9, height: 9, turn: 0, isLocked: false, group: null },
  ...{ colour: 'ink', note: '' },
})
const collage = (...layers: Layer[]): Collage => ({
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' } },
  layers,
})
const placed = ({ layers }: Collage) => layers.map(({ id, x }) => `${id}${x}`)

describe('collages of two windows', () => {
  it('keep what either added or moved, this window’s where both moved one', () => {
    const base = collage(layer('a'), layer('b'))
    const mine = collage(layer('a', 5), layer('b'), layer('m'))
    const theirs = collage(layer('a', 7), layer('b', 8), layer('t'))
    expect(placed(mergeCollages(base, mine, theirs))).toEqual(['a5', 'b8', 'm0', 't0'])
  })

  it('take out what one took out, unless the other changed it', () => {
    const base = collage(layer('a'), layer('b'))
    expect(placed(mergeCollages(base, collage(layer('b')), base))).toEqual(['b0'])
    expect(placed(mergeCollages(base, collage(layer('b')), collage(layer('a', 3), layer('b'))))).toEqual([
      'b0',
      'a3',
    ])
    expect(placed(mergeCollages(base, collage(layer('a', 4), layer('b')), collage(layer('b'))))).toEqual([
      'b0',
      'a4',
    ])
  })

  it('have the size and ground that were changed', () => {
    const base = collage()
    const tall: Collage = { ...base, size: 'tall' }
    const green: Collage = { ...base, background: { kind: 'colour', colour: 'moss' } }
    expect(mergeCollages(base, tall, green)).toMatchObject({
      size: 'tall',
      background: { colour: 'moss' },
    })
  })
})

/** What stands after a window is loaded anew, by what it left on the device and what the server has. */
const restored = (base: Collage, sent: readonly Collage[], mine: Collage, theirs: Collage) =>
  placed(mergeCollages(mergeBase(mergeCollages, base, sent, theirs), mine, theirs))

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

  it('learns nothing from an undo that was sent too: it is in whatever arrived', () => {
    expect(mergeBase(mergeCollages, full, [empty, full], empty)).toBe(empty)
    expect(restored(full, [empty, full], full, empty)).toEqual(['a0', 'b0'])
  })
})
