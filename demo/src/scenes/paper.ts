// Scenes of paper: notebook sheets on a table, a tally card, maps and plots. Writing is strokes, no words.
import { between, pick, shape, stroke, times } from './drawing.ts'
import type { Dice, Scene } from './drawing.ts'

function table(dice: Dice): string {
  const wood = pick(dice, ['#7c6a52', '#6d5d4d', '#8a7559'])
  return (
    shape(wood, 'M-40-40h240v200H-40z') +
    shape('#00000018', 'M-40 18h240v2H-40zM-40 58h240v2H-40zM-40 96h240v2H-40z')
  )
}

/** Lines that look like somebody's handwriting from afar. */
function writing(dice: Dice, x: number, y: number, lines: number, width: number): string {
  return times(lines, (n) => {
    let line = `M${x} ${y + n * 9}`
    for (let at = 0; at < width * between(dice, 0.6, 1); at += 4)
      line += `q1 ${between(dice, -3, 0)} 2 0t2 ${between(dice, -1, 1)}`
    return line
  }).join('')
}

/** A notebook sheet at an angle with its shadow: a sketch of a plant, and notes. */
export const sketch: Scene = (dice) => {
  const stem = between(dice, 50, 70)
  const leaves = times(6, (n) => {
    const side = n % 2 ? 1 : -1
    return `M${stem} ${88 - n * 9}q${side * 13} ${between(dice, -2, 5)} ${side * 17} ${between(dice, -17, -9)}`
  })
  return [
    table(dice),
    shape('#00000033', 'M36 16 138 26 126 116 24 98z'),
    shape('#f5eedd', 'M34 12 136 22 124 112 22 94z'),
    stroke('#b9c9cc', 0.7, 'M33 26l101 10M31 38l101 10M30 50l100 10M28 62l100 11M27 74l99 12M25 85l99 12'),
    stroke('#2d4a58', 1.5, `M${stem} 92q${between(dice, -6, 8)}-30 0-58${leaves.join('')}`),
    stroke('#2d4a58', 1.1, writing(dice, 88, 44, 5, 34)),
  ].join('')
}

/** A tally card at an angle: rows of five-bar gates, a name at the top. */
export const tallyCard: Scene = (dice) => {
  const gates = times(5, (row) =>
    times(Math.ceil(between(dice, 2, 6)), (n) => {
      const [x, y] = [64 + n * 11, 42 + row * 12]
      return `M${x} ${y}v7m2-7v7m2-7v7m2-7v7M${x - 1} ${y + 6}l8-5`
    }).join(''),
  )
  return [
    table(dice),
    shape('#00000030', 'M34 14 132 22 126 114 28 106z'),
    shape('#fbf6e8', 'M32 10 130 18 124 110 26 102z'),
    shape('#dfe6dd', 'M32 10 130 18 129 32 31 24z'),
    stroke('#2d4a58', 1.2, writing(dice, 40, 22, 1, 44)),
    stroke('#7b8482', 1, writing(dice, 36, 47, 1, 20) + times(4, (n) => `M35 ${57 + n * 12}h20`).join('')),
    stroke('#2d4a58', 1.2, gates.join('')),
  ].join('')
}

/** A map with contours and a line of stations. */
export const map: Scene = (dice) => {
  const lift = between(dice, -10, 10)
  const stations = times(3, (n) => `M${23 + n * 51} ${97 - n * 38 + lift / 2}h6v6h-6z`)
  return [
    shape('#efe4cb', 'M0 0h160v120H0z'),
    shape('#c6d8d8', `M0 ${72 + lift}q28-14 52 4t46-2 62-22v80H0z`),
    stroke(
      '#b08b58',
      1,
      `M0 ${52 + lift}q30-18 56 2t44-6 60-26M0 ${36 + lift}q32-16 58 2t44-8 58-24M0 ${20 + lift}q36-14 60 2t40-6 40-20`,
    ),
    stroke('#a43f2c', 2, `M26 100 128 ${22 + lift / 2}`, 'stroke-dasharray="5 3"'),
    shape('#a43f2c', stations.join('')),
    stroke('#17384a', 1.4, 'M142 96v-18l-5 7m5-7 5 7'),
  ].join('')
}

/** A plot of two lines that differ in their marks. */
export const plot: Scene = (dice) => {
  const walk = (start: number, step: number) => {
    let y = start
    return times(10, (n) => {
      y = Math.min(88, Math.max(18, y + between(dice, -step, step)))
      return [26 + n * 13, Math.round(y)] as const
    })
  }
  const [first, second] = [walk(60, 20), walk(78, 8)]
  const line = (points: readonly (readonly [number, number])[]) =>
    `M${points.map((point) => point.join(' ')).join('L')}`
  return [
    shape('#fffdf7', 'M0 0h160v120H0z'),
    stroke('#e2d7c2', 1, 'M22 24h128M22 48h128M22 72h128'),
    stroke('#55605f', 1.2, 'M22 12v84h130'),
    stroke('#17384a', 2, line(first)),
    stroke('#b5703a', 2, line(second)),
    shape(
      '#17384a',
      first
        .filter((_, n) => n % 3 === 0)
        .map(([x, y]) => `M${x - 3} ${y - 3}h6v6h-6z`)
        .join(''),
    ),
    `<g fill="#fffdf7" stroke="#8a4e1f" stroke-width="1.3">${second
      .filter((_, n) => n % 3 === 1)
      .map(([x, y]) => `<path d="M${x} ${y - 4}l4 4-4 4-4-4z"/>`)
      .join('')}</g>`,
    shape('#55605f', 'M30 104h16v2H30zM70 104h16v2H70zM112 104h16v2h-16z'),
  ].join('')
}
