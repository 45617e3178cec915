// Scenes from near: what lies in a frame, in a pool, in a hand's breadth of strand.
import { between, grass, pick, shape, stipple, stroke, times } from './drawing.ts'
import type { Scene } from './drawing.ts'

/** A string frame on mud, with as much glasswort in it as the dice say. */
export const quadrat: Scene = (dice) => {
  const ground = pick(dice, ['#b79b73', '#a88f6b', '#c0a883'])
  const red = Math.floor(between(dice, 4, 18))
  return [
    shape(ground, 'M0 0h160v120H0z'),
    stipple(dice, '#9a7f5b', 2, 70, [0, 118]),
    stipple(dice, '#d8c39b', 1.5, 60, [0, 118]),
    grass(dice, '#58743d', 2.6, { count: 24, x: [40, 116], y: [92, 98], height: [12, 22], lean: 4 }),
    grass(dice, '#a2492f', 2.6, { count: red, x: [58, 108], y: [62, 72], height: [9, 17], lean: 3 }),
    stroke('#f6f0e2', 4, 'M34 16 128 20 124 106 30 102z'),
    stroke('#f6f0e2', 0.9, 'M57 17 53 103M81 18l-4 86M104 19l-4 86M33 38l94 4M32 59l94 4M31 81l94 4'),
  ].join('')
}

/** A pool between rocks, with an anemone and weed. */
export const pool: Scene = (dice) => {
  const [x, y] = [between(dice, 66, 100), between(dice, 54, 74)]
  const arms = times(9, (n) => {
    const angle = (n / 9) * 2 * Math.PI + dice()
    const length = between(dice, 9, 15)
    return `M${x} ${y}l${(Math.cos(angle) * length).toFixed(1)} ${(Math.sin(angle) * length).toFixed(1)}`
  })
  return [
    shape('#7d766b', 'M0 0h160v120H0z'),
    shape('#5f5a52', 'M0 0h70Q40 20 18 50T0 90zM160 120V40q-20 40-50 56t-60 24z'),
    shape('#3f6d78', 'M30 64q4-34 50-42t58 22-20 54-62 10-26-44z'),
    shape(pick(dice, ['#5c8f97', '#6a9a8c', '#4f8294']), 'M42 62q6-26 42-30t42 16-16 38-44 8-24-32z'),
    stroke(pick(dice, ['#e08c63', '#d9749a', '#e8b45c']), 2.6, arms.join('')),
    `<circle cx="${x}" cy="${y + 1}" r="5" fill="#a9492f"/>`,
    grass(dice, '#93a655', 2.4, { count: 10, x: [50, 70], y: [84, 92], height: [8, 20], lean: 6 }),
    stroke(
      '#d5e3e0',
      1.6,
      times(4, () => `M${between(dice, 48, 104)} ${between(dice, 40, 56)}h${between(dice, 8, 16)}`).join(''),
    ),
  ].join('')
}

/** Shells and wrack along a line of the last tide. */
export const strandline: Scene = (dice) => {
  const shell = () => {
    const [x, y, size] = [between(dice, 10, 150), between(dice, 50, 112), between(dice, 4, 10)]
    const fill = pick(dice, ['#f3e6d3', '#e3c7ad', '#cfd6d6', '#b98f78'])
    const ribs = times(5, (n) => `M0 0L${(n - 2) * 0.34} -0.9`).join('')
    const fan = `<path d="M-1 -.1A1 1 0 011 -.1L0 .2z" fill="${fill}"/>${stroke('#7f6a55', 0.06, ribs)}`
    return `<g transform="translate(${x} ${y}) rotate(${between(dice, -120, 120)}) scale(${size})">${fan}</g>`
  }
  return [
    shape('#cdb891', 'M0 0h160v120H0z'),
    shape('#a9c3c4', `M0 0h160v${between(dice, 20, 30)}q-40 12-80 2t-80 4z`),
    shape('#e4d3ae', 'M0 36q40-10 80 2t80-4v8q-40 8-80-2t-80 6z'),
    grass(dice, '#4c3a26', 2, { count: 50, x: [0, 160], y: [44, 54], height: [2, 8], lean: 10 }),
    stipple(dice, '#9a855f', 1.4, 90, [56, 118]),
    ...times(14, shell),
  ].join('')
}
