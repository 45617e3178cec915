// Light, pixel by pixel: histograms, and tables that say for each value what becomes of it.
import { pixelsOf, type Raster } from './raster.ts'
import type { LightStep } from './schema.ts'
import type { Work } from './work.ts'

/** How many pixels have each value, 0 to 255. */
export interface Histogram {
  readonly red: Uint32Array
  readonly green: Uint32Array
  readonly blue: Uint32Array
  readonly grey: Uint32Array
}

/** A lookup table per channel: three times 256 numbers from 0 to 255. */
export interface Curves {
  readonly red: Uint8Array
  readonly green: Uint8Array
  readonly blue: Uint8Array
}

export interface Levels {
  readonly black: number
  readonly white: number
  readonly middle: number
}

const PIXELS_AT_ONCE = 1 << 20
/** So much of a picture may become pure white or pure black when levels are found by themselves. */
const CLIPPED_DARK = 0.002
const CLIPPED_LIGHT = 0.5
/** Paper is not lifted from less than this: a picture without any paper would only grow pale. */
const LEAST_WHITE = 96

export function histogramOf({ data }: Raster): Histogram {
  const histogram = {
    red: new Uint32Array(256),
    green: new Uint32Array(256),
    blue: new Uint32Array(256),
    grey: new Uint32Array(256),
  }
  const { red, green, blue, grey } = histogram
  for (let at = 0; at < data.length; at += 4) {
    const [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number]
    red[r] = (red[r] as number) + 1
    green[g] = (green[g] as number) + 1
    blue[b] = (blue[b] as number) + 1
    const light = (77 * r + 150 * g + 29 * b) >> 8
    grey[light] = (grey[light] as number) + 1
  }
  return histogram
}

/** Returns the value below which a fraction of the pixels lies. */
export function quantileOf(counts: ArrayLike<number>, fraction: number): number {
  let total = 0
  for (let value = 0; value < counts.length; value += 1) total += counts[value] ?? 0
  let sum = 0
  for (let value = 0; value < counts.length; value += 1) {
    sum += counts[value] ?? 0
    if (sum >= total * fraction && sum > 0) return value
  }
  return counts.length - 1
}

/** Finds levels that make paper white and ink dark; the lightest half of the pixels is taken to be paper. */
export function findLevels({ grey }: Histogram): Levels {
  const paper = quantileOf(grey, 1 - CLIPPED_LIGHT)
  const white = Math.max(LEAST_WHITE, Math.min(255, paper - 2))
  const black = Math.min(quantileOf(grey, CLIPPED_DARK), white - 40, 110)
  return { black: Math.max(0, black), white, middle: 1 }
}

/** Returns the curves of levels: black to 0, white to 255, and between them a power given by the middle. */
export function levelCurves({ black, white, middle }: Levels): Curves {
  const span = Math.max(1, white - black)
  const curve = table((value) => 255 * Math.min(1, Math.max(0, (value - black) / span)) ** (1 / middle))
  return { red: curve, green: curve, blue: curve }
}

/**
 * Returns the curves for brightness, contrast about middle grey, and warmth (red up, blue down), each from -100 to
 * 100.
 */
export function lightCurves({ brightness, contrast, warmth }: Omit<LightStep, 'kind' | 'on'>): Curves {
  const slope = contrast < 0 ? 1 + contrast / 125 : 1 + contrast / 50
  const power = 2 ** (-brightness / 60)
  const light = (value: number) => {
    const lit = 255 * (value / 255) ** power
    return 127.5 + (lit - 127.5) * slope
  }
  const shift = warmth * 0.3
  return {
    red: table((value) => light(value) + shift * fading(value)),
    green: table(light),
    blue: table((value) => light(value) - shift * fading(value)),
  }
}

/** Composes two curves into one: `first`, then the other. */
export function joinCurves(first: Curves, second: Curves): Curves {
  const join = (one: Uint8Array, other: Uint8Array) => one.map((value) => other[value] as number)
  return {
    red: join(first.red, second.red),
    green: join(first.green, second.green),
    blue: join(first.blue, second.blue),
  }
}

/** Applies curves to every pixel, in place. */
export function* applyCurves(raster: Raster, { red, green, blue }: Curves): Work<Raster> {
  const pixels = pixelsOf(raster)
  const low = Uint32Array.from(red)
  const middle = Uint32Array.from(green, (value) => value << 8)
  const high = Uint32Array.from(blue, (value) => value << 16)
  for (let start = 0; start < pixels.length; start += PIXELS_AT_ONCE) {
    const end = Math.min(pixels.length, start + PIXELS_AT_ONCE)
    for (let at = start; at < end; at += 1) {
      const pixel = pixels[at] as number
      pixels[at] =
        (low[pixel & 255] as number) |
        (middle[(pixel >>> 8) & 255] as number) |
        (high[(pixel >>> 16) & 255] as number) |
        (pixel & 0xff000000)
    }
    yield end / pixels.length
  }
  return raster
}

/** Warmth leaves pure black and pure white alone, so that ink stays dark and paper stays white. */
function fading(value: number): number {
  return 1 - ((value - 127.5) / 127.5) ** 4
}

function table(at: (value: number) => number): Uint8Array {
  return Uint8Array.from({ length: 256 }, (_, value) => Math.round(Math.min(255, Math.max(0, at(value)))))
}
