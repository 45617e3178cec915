// Drawing by program: a seeded dice and the strokes that all scenes share. A scene is SVG on a sheet of 160 by 120.

/** Numbers from 0 to 1, the same ones for the same seed (mulberry32). */
export type Dice = () => number

export function makeDice(seed: number): Dice {
  let state = Math.imul(seed + 1, 0x9e3779b9)
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Draws a scene; the same dice give the same picture. */
export type Scene = (dice: Dice) => string

export const between = (dice: Dice, least: number, most: number) => least + dice() * (most - least)
export const pick = <T>(dice: Dice, choices: readonly [T, ...T[]]): T =>
  choices[Math.floor(dice() * choices.length)] ?? choices[0]
export const times = <T>(count: number, make: (n: number) => T): T[] =>
  Array.from({ length: count }, (_, n) => make(n))
export const shape = (fill: string, d: string, more = '') => `<path fill="${fill}" d="${d}" ${more}/>`
export const stroke = (colour: string, width: number, d: string, more = '') =>
  `<path fill="none" stroke="${colour}" stroke-width="${width}" stroke-linecap="round" d="${d}" ${more}/>`
const round = (value: number) => Math.round(value * 10) / 10

interface Patch {
  readonly count: number
  readonly x: readonly [number, number]
  readonly y: readonly [number, number]
  readonly height: readonly [number, number]
  readonly lean: number
}

/** Blades that grow from a patch of ground, each bent a little its own way. */
export function grass(dice: Dice, colour: string, width: number, patch: Patch): string {
  const blades = times(patch.count, () => {
    const height = between(dice, ...patch.height)
    const lean = between(dice, -patch.lean, patch.lean)
    const start = `M${round(between(dice, ...patch.x))} ${round(between(dice, ...patch.y))}`
    return `${start}q${round(lean * 0.2)} ${round(-height * 0.6)} ${round(lean)} ${round(-height)}`
  })
  return stroke(colour, width, blades.join(''))
}

/** Short marks all over a piece of ground: grains, shells, droppings. */
export function stipple(
  dice: Dice,
  colour: string,
  width: number,
  count: number,
  y: readonly [number, number],
): string {
  const marks = times(count, () => {
    const length = round(between(dice, 0.6, 2.4))
    return `M${round(between(dice, 0, 158))} ${round(between(dice, ...y))}h${length}`
  })
  return stroke(colour, width, marks.join(''))
}

/** A sky that goes from one colour to another. */
export function sky(id: string, top: string, bottom: string, height: number): string {
  const stops = `<stop stop-color="${top}"/><stop offset="1" stop-color="${bottom}"/>`
  const gradient = `<linearGradient id="${id}" x2="0" y2="1">${stops}</linearGradient>`
  return `${gradient}<path fill="url(#${id})" d="M0 0h160v${height}H0z"/>`
}

/** The whole sheet as SVG in pixels. `angle` and `zoom` are how the camera was held. */
export function toSvg(content: string, width: number, height: number, angle = 0, zoom = 1): string {
  const held = `translate(80 60) rotate(${angle}) scale(${zoom}) translate(-80 -60)`
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 160 120" ` +
    `preserveAspectRatio="xMidYMid slice"><g transform="${held}">${content}</g></svg>`
  )
}
