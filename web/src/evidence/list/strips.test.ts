import { expect, it } from '@jest/globals'
import fc from 'fast-check'
import { rowOf, version } from '../../testing/evidenceSamples.ts'
import { arrowTarget, centreIn, layOutDays, layOutStrips } from './strips.ts'
import type { Strip } from './strips.ts'

const GAP = 8
const rules = { width: 900, height: 150, gap: GAP, least: 90, most: 400 }
const day = (n: number) => `2026-11-${String(1 + n).padStart(2, '0')}`

/** Things of any proportions, made on days that follow one another. */
const things = fc
  .array(
    fc.record({
      width: fc.integer({ min: 1, max: 4000 }),
      height: fc.integer({ min: 1, max: 4000 }),
      day: fc.nat(9),
    }),
    { maxLength: 60 },
  )
  .map((list) =>
    [...list]
      .sort((a, b) => a.day - b.day)
      .map((one, n) =>
        rowOf({
          id: String(n),
          madeAt: `${day(one.day)}T10:00:00.000Z`,
          version: { ...version, width: one.width, height: one.height },
        }),
      ),
  )
const dayOf = ({ madeAt }: { readonly madeAt: string }) => madeAt.slice(0, 10)
const namesIn = (strips: readonly Strip[]) => strips.flatMap(({ items }) => items.map(({ id }) => id))

it('strips hold each thing once, in order, and say where they begin', () => {
  fc.assert(
    fc.property(things, (items) => {
      for (const strips of [layOutStrips(items, rules), layOutDays(items, rules, dayOf)]) {
        expect(namesIn(strips)).toEqual(items.map(({ id }) => id))
        let start = 0
        for (const strip of strips) {
          expect([strip.start, strip.widths.length]).toEqual([start, strip.items.length])
          start += strip.items.length
        }
      }
    }),
  )
})

it('no strip is wider than there is room', () => {
  fc.assert(
    fc.property(things, (items) => {
      for (const { widths } of layOutDays(items, rules, dayOf)) {
        const taken = widths.reduce((sum, one) => sum + one, GAP * (widths.length - 1))
        expect(taken).toBeLessThanOrEqual(rules.width)
      }
    }),
  )
})

it('a day begins a strip of its own under its words, and is named once', () => {
  fc.assert(
    fc.property(things, (items) => {
      const strips = layOutDays(items, rules, dayOf)
      const headings = strips.flatMap(({ heading }) => (heading === null ? [] : [heading]))
      expect(headings).toEqual([...new Set(items.map(dayOf))])
      for (const { items: own } of strips) expect(new Set(own.map(dayOf)).size).toBe(1)
    }),
  )
})

it('arrows stay among the things, and down then up comes back where strips stand in line', () => {
  const items = Array.from({ length: 23 }, (_, n) => rowOf({ id: String(n) }))
  const strips = layOutStrips(items, rules)
  const press = (key: string, at: number) => arrowTarget(key, at, strips, GAP)
  expect(press('ArrowRight', 0)).toBe(1)
  expect(press('ArrowRight', 22)).toBe(22)
  expect(press('ArrowLeft', 0)).toBe(0)
  expect([press('Home', 9), press('End', 9)]).toEqual([0, 22])
  expect(press('ArrowUp', 0)).toBeNull()
  expect(press('ArrowDown', 22)).toBeNull()
  expect(press('x', 3)).toBeNull()
  const below = press('ArrowDown', 1) ?? -1
  expect(below).toBeGreaterThan(1)
  expect(press('ArrowUp', below)).toBe(1)
})

it('down goes to what stands nearest', () => {
  fc.assert(
    fc.property(things, fc.nat(59), (items, at) => {
      fc.pre(at < items.length)
      const strips = layOutStrips(items, rules)
      const to = arrowTarget('ArrowDown', at, strips, GAP)
      const own = strips.findIndex(({ start, items: held }) => at >= start && at < start + held.length)
      const [from, next] = [strips[own], strips[own + 1]]
      if (!from || !next) return expect(to).toBeNull()
      const centre = centreIn(from, at - from.start, GAP)
      const far = (place: number) => Math.abs(centreIn(next, place, GAP) - centre)
      const nearest = Math.min(...next.widths.map((_, place) => far(place)))
      expect(far((to ?? -1) - next.start)).toBe(nearest)
    }),
  )
})
