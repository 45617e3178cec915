// Uneven light: how light the bare paper is in each part of a picture, and the picture with that taken out.
import type { Curves } from './levels.ts'
import type { Raster } from './raster.ts'
import type { Work } from './work.ts'

/** The brightness of the paper on a coarse grid: one value from 0 to 255 per channel and field. */
export interface LightMap {
  readonly columns: number
  readonly rows: number
  readonly channels: readonly [Float32Array, Float32Array, Float32Array]
}

/** What bare paper is brought to; the levels then make it white. */
const PAPER = 246
const MOST_GAIN = 4
const FIELDS = 40
/** Of the pixels of a field this part is darker than its paper: ink, lines, and what lies in between. */
const INK = 0.8
/** A field without paper (a photo, a dark drawing) is taken to be at least this part as light as those about it. */
const LEAST_OF_NEIGHBOURS = 0.72
const ROWS_AT_ONCE = 64

/**
 * Estimates the brightness of the paper in each field: a high quantile of the field, raised to its neighbours and
 * smoothed.
 *
 * The picture is modelled as paper times light, so dividing by the light leaves the paper.
 */
export function mapLight(raster: Raster): LightMap {
  const longest = Math.max(raster.width, raster.height)
  const most = Math.min(FIELDS, longest)
  const columns = Math.max(1, Math.round((most * raster.width) / longest))
  const rows = Math.max(1, Math.round((most * raster.height) / longest))
  const fields = [0, 1, 2].map((channel) => quantilesOfFields(raster, channel, columns, rows))
  const channels = fields.map((field) => smooth(holdUp(field, columns, rows), columns, rows))
  return { columns, rows, channels: channels as unknown as LightMap['channels'] } // three went in
}

/**
 * Divides the light out, in place, and applies `curves` in the same pass.
 *
 * @param strength 0 leaves the light as it is, 100 removes it
 */
export function* evenOut(raster: Raster, light: LightMap, strength: number, curves: Curves): Work<Raster> {
  const gains = light.channels.map((channel) => channel.map((ground) => gainOf(ground, strength)))
  const line = [0, 1, 2].map(() => new Int32Array(raster.width))
  const tables = [curves.red, curves.green, curves.blue]
  for (let start = 0; start < raster.height; start += ROWS_AT_ONCE) {
    const end = Math.min(raster.height, start + ROWS_AT_ONCE)
    for (let y = start; y < end; y += 1) {
      for (let channel = 0; channel < 3; channel += 1) {
        const factors = line[channel] as Int32Array // there are three of each
        fillLine(factors, gains[channel] as Float32Array, light, (y + 0.5) / raster.height)
        multiplyRow(raster, y, channel, factors, tables[channel] as Uint8Array)
      }
    }
    yield end / raster.height
  }
  return raster
}

function gainOf(ground: number, strength: number): number {
  const gain = Math.min(MOST_GAIN, PAPER / Math.max(1, ground))
  return 1 + (gain - 1) * (strength / 100)
}

/** The factors along one row in 1/1024, between the middles of the fields in straight lines. */
function fillLine(
  factors: Int32Array,
  gains: Float32Array,
  { columns, rows }: LightMap,
  fraction: number,
): void {
  const y = Math.min(rows - 1, Math.max(0, fraction * rows - 0.5))
  const [top, below] = [Math.floor(y) * columns, Math.min(rows - 1, Math.floor(y) + 1) * columns]
  const share = y - Math.floor(y)
  const at = (column: number) =>
    ((gains[top + column] as number) * (1 - share) + (gains[below + column] as number) * share) * 1024
  const step = columns / factors.length
  let column = -1
  let [from, slope] = [0, 0]
  for (let x = 0; x < factors.length; x += 1) {
    const place = Math.min(columns - 1, Math.max(0, (x + 0.5) * step - 0.5))
    if (Math.floor(place) !== column) {
      column = Math.floor(place)
      from = at(column)
      slope = at(Math.min(columns - 1, column + 1)) - from
    }
    factors[x] = from + slope * (place - column)
  }
}

function multiplyRow(
  { data, width }: Raster,
  y: number,
  channel: number,
  factors: Int32Array,
  table: Uint8Array,
) {
  for (let x = 0, at = y * width * 4 + channel; x < width; x += 1, at += 4) {
    const lit = ((data[at] as number) * (factors[x] as number)) >> 10
    data[at] = table[lit > 255 ? 255 : lit] as number
  }
}

function quantilesOfFields(raster: Raster, channel: number, columns: number, rows: number): Float32Array {
  const { data, width, height } = raster
  // About a thousand samples a field tell as much as all of them.
  const stride = Math.max(1, Math.floor(Math.sqrt((width * height) / (columns * rows * 1000))))
  const counts = new Uint32Array(columns * rows * 256)
  for (let y = stride >> 1; y < height; y += stride) {
    const row = Math.floor((y * rows) / height) * columns
    for (let x = stride >> 1; x < width; x += stride) {
      const field = row + Math.floor((x * columns) / width)
      const at = field * 256 + (data[(y * width + x) * 4 + channel] as number)
      counts[at] = (counts[at] as number) + 1
    }
  }
  return Float32Array.from({ length: columns * rows }, (_, field) => quantile(counts, field * 256, INK))
}

function quantile(counts: Uint32Array, start: number, fraction: number): number {
  let total = 0
  for (let value = 0; value < 256; value += 1) total += counts[start + value] as number
  let sum = 0
  for (let value = 0; value < 256; value += 1) {
    sum += counts[start + value] as number
    if (sum > total * fraction) return value
  }
  return 255
}

/** No field much darker than the lighter ones of the 5 by 5 about it: those hold paper, and this one may not. */
function holdUp(fields: Float32Array, columns: number, rows: number): Float32Array {
  return fields.map((own, at) => {
    const about = around(fields, columns, rows, at, 2).sort((a, b) => a - b)
    const paper = about[Math.floor(about.length * 0.7)] ?? own
    return Math.max(own, paper * LEAST_OF_NEIGHBOURS)
  })
}

/** Means of 3 by 3, twice: as smooth as light is. */
function smooth(fields: Float32Array, columns: number, rows: number): Float32Array {
  const blurred = (of: Float32Array) =>
    of.map((_, at) => {
      const about = around(of, columns, rows, at, 1)
      return about.reduce((sum, one) => sum + one, 0) / about.length
    })
  return blurred(blurred(fields))
}

function around(fields: Float32Array, columns: number, rows: number, at: number, reach: number): number[] {
  const [x, y] = [at % columns, Math.floor(at / columns)]
  const found: number[] = []
  for (let row = Math.max(0, y - reach); row <= Math.min(rows - 1, y + reach); row += 1) {
    for (let column = Math.max(0, x - reach); column <= Math.min(columns - 1, x + reach); column += 1) {
      found.push(fields[row * columns + column] as number)
    }
  }
  return found
}
