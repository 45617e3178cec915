// Photos of sheets that a program draws: a written sheet on a cluttered ground, seen askew, in uneven light, with noise.
import { invert, mapPoint, type Point, type Quad, rectangleToQuad } from '../matrix.ts'
import { makeRaster, pixelsOf, type Raster } from '../raster.ts'
import { noiseFrom, randomFrom } from './random.ts'

/** What surrounds the sheet. */
export const clutterKinds = ['plain', 'wood', 'cloth', 'papers', 'things', 'shadow', 'pale'] as const
export type ClutterKind = (typeof clutterKinds)[number]

export interface SheetPhoto {
  readonly raster: Raster
  /** The corners of the sheet, clockwise from its top left. */
  readonly corners: Quad
  readonly clutter: ClutterKind
  /** Where the name stands in the sheet, as parts of its sides: left, top, right, bottom. */
  readonly name: readonly [number, number, number, number]
}

type Colour = readonly [number, number, number]
type Paint = (x: number, y: number) => Colour

const NAME = [0.66, 0.035, 0.95, 0.075] as const

/** Draws a photo of a sheet; the same seed, clutter and width give the same photo. */
export function drawSheet(seed: number, clutter: ClutterKind, width = 960): SheetPhoto {
  const random = randomFrom(seed)
  const height = Math.round(width * 0.75)
  const corners = chooseCorners(random, width, height)
  const sheet = writeSheet(random)
  const ground = groundOf(clutter, random, width)
  const things = clutter === 'things' || random() < 0.3 ? scatter(random, corners, width) : []
  const papers = clutter === 'papers' ? otherPapers(random, corners, width) : []
  const toSheet = invert(rectangleToQuad(sheet, corners))
  const scene: Paint = (x, y) => {
    for (const thing of things) if (thing.holds(x, y)) return thing.colour
    const on = mapPoint(toSheet, { x, y })
    if (on.x >= 0 && on.y >= 0 && on.x < sheet.width && on.y < sheet.height) return colourAt(sheet, on)
    for (const paper of papers) if (paper.holds(x, y)) return paper.colour
    return ground(x, y)
  }
  const raster = expose({ scene, light: lightOf(clutter, random, width, height), random, width, height })
  return { raster, corners, clutter, name: NAME }
}

/** Draws a picture without a sheet: things on a ground, or a view with a horizon. */
export function drawNoSheet(seed: number, width = 960): Raster {
  const random = randomFrom(seed)
  const height = Math.round(width * 0.75)
  const kinds = ['wood', 'cloth', 'things', 'view', 'plants', 'plain'] as const
  const kind = kinds[Math.floor(random() * kinds.length)] ?? 'plain'
  const ground =
    kind === 'view' || kind === 'plants'
      ? outdoors(kind, random, width, height)
      : groundOf(kind, random, width)
  const far: Quad = [
    { x: width * 0.2, y: height * 0.2 },
    { x: width * 0.8, y: height * 0.2 },
    { x: width * 0.8, y: height * 0.8 },
    { x: width * 0.2, y: height * 0.8 },
  ]
  const things = kind === 'plain' || kind === 'view' ? [] : scatter(random, far, width)
  const scene: Paint = (x, y) => things.find((thing) => thing.holds(x, y))?.colour ?? ground(x, y)
  return expose({ scene, light: lightOf('shadow', random, width, height), random, width, height })
}

/** A rectangle of paper turned in space and seen by a camera, well inside the picture. */
function chooseCorners(random: () => number, width: number, height: number): Quad {
  for (;;) {
    const long = height * (0.62 + random() * 0.3)
    const [across, down] =
      random() < 0.65 ? [long / Math.SQRT2, long] : [long * 1.15, (long * 1.15) / Math.SQRT2]
    const turned = ((random() - 0.5) * 50 * Math.PI) / 180
    const [tiltX, tiltY] = [(random() - 0.5) * 0.9, (random() - 0.5) * 0.9]
    const focal = width * (0.9 + random() * 0.5)
    const middle = { x: width * (0.42 + random() * 0.16), y: height * (0.44 + random() * 0.12) }
    const corners = (
      [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ] as const
    ).map(([sx, sy]): Point => {
      const [x0, y0] = [(sx * across) / 2, (sy * down) / 2]
      const x = x0 * Math.cos(turned) - y0 * Math.sin(turned)
      const y = x0 * Math.sin(turned) + y0 * Math.cos(turned)
      const depth = 1 + (x * Math.sin(tiltX) + y * Math.sin(tiltY)) / focal
      return { x: middle.x + (x * Math.cos(tiltX)) / depth, y: middle.y + (y * Math.cos(tiltY)) / depth }
    }) as unknown as Quad // four went in
    const inside = corners.every(
      ({ x, y }) => x > width * 0.025 && y > height * 0.025 && x < width * 0.975 && y < height * 0.975,
    )
    if (inside) return corners
  }
}

/** A sheet of paper with a title, a name at the top right, lines of writing, and often a table or ruled lines. */
function writeSheet(random: () => number): Raster {
  const sheet = makeRaster({ width: 640, height: 905 })
  const warm = random() * 18
  const paper: Colour = [252 - random() * 8, 250 - warm * 0.3 - random() * 6, 244 - warm]
  fill(sheet, 0, 0, 640, 905, paper)
  if (random() < 0.45) for (let y = 110; y < 870; y += 30) fill(sheet, 0, y, 640, y + 1, [176, 196, 214])
  if (random() < 0.3) fill(sheet, 84, 0, 86, 905, [222, 150, 150])
  const ink: Colour = random() < 0.5 ? [30, 40, 90] : [35, 35, 38]
  write(sheet, random, { left: 100, right: 330, y: 66, size: 17, ink })
  write(sheet, random, { left: 640 * NAME[0] + 6, right: 640 * NAME[2] - 6, y: 905 * 0.064, size: 11, ink })
  const tableAt = random() < 0.5 ? 220 + random() * 200 : null
  for (let y = 140; y < 800 - random() * 200; y += 32) {
    if (tableAt !== null && y > tableAt - 26 && y < tableAt + 170) continue
    write(sheet, random, { left: 100, right: 420 + random() * 160, y, size: 9, ink })
  }
  if (tableAt !== null) ruleTable(sheet, random, tableAt, ink)
  return sheet
}

function ruleTable(sheet: Raster, random: () => number, top: number, ink: Colour) {
  const columns = 2 + Math.floor(random() * 3)
  for (let row = 0; row <= 4; row += 1) fill(sheet, 110, top + row * 34, 540, top + row * 34 + 2, ink)
  for (let column = 0; column <= columns; column += 1) {
    const x = 110 + (430 * column) / columns
    fill(sheet, x, top, x + 2, top + 138, ink)
  }
  for (let row = 0; row < 4; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const left = 120 + (430 * column) / columns
      write(sheet, random, { left, right: left + 40 + random() * 30, y: top + 25 + row * 34, size: 9, ink })
    }
  }
}

interface Line {
  readonly left: number
  readonly right: number
  readonly y: number
  readonly size: number
  readonly ink: Colour
}

/** Words as handwriting looks from afar: strokes up and down with gaps between words. */
function write(sheet: Raster, random: () => number, { left, right, y, size, ink }: Line) {
  let x = left
  while (x < right) {
    const word = Math.min(right, x + size * (2 + random() * 5))
    while (x < word - size * 0.4) {
      const tall = random() < 0.25 ? size * 1.5 : size * 0.85
      stroke(sheet, x, y, x + size * 0.35, y - tall, ink)
      stroke(sheet, x + size * 0.35, y - tall, x + size * 0.6, y - random() * 2, ink)
      x += size * (0.55 + random() * 0.25)
    }
    x += size * 0.9
  }
}

function stroke(sheet: Raster, x0: number, y0: number, x1: number, y1: number, ink: Colour) {
  const steps = Math.ceil(Math.hypot(x1 - x0, y1 - y0) * 1.5)
  for (let n = 0; n <= steps; n += 1) {
    const [x, y] = [x0 + ((x1 - x0) * n) / steps, y0 + ((y1 - y0) * n) / steps]
    fill(sheet, x, y, x + 2, y + 2, ink)
  }
}

function fill(sheet: Raster, left: number, top: number, right: number, bottom: number, [r, g, b]: Colour) {
  const pixels = pixelsOf(sheet)
  const colour = 0xff000000 | (b << 16) | (g << 8) | r
  const [start, end] = [Math.max(0, Math.floor(left)), Math.min(sheet.width, Math.floor(right))]
  for (let y = Math.max(0, Math.floor(top)); y < Math.min(sheet.height, Math.floor(bottom)); y += 1) {
    pixels.fill(colour, y * sheet.width + start, y * sheet.width + end)
  }
}

function colourAt({ data, width, height }: Raster, { x, y }: Point): Colour {
  const at = (Math.min(height - 1, Math.floor(y)) * width + Math.min(width - 1, Math.floor(x))) * 4
  return [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0]
}

function groundOf(clutter: ClutterKind, random: () => number, width: number): Paint {
  const noise = noiseFrom(Math.floor(random() * 1e9))
  const scale = 960 / width
  if (clutter === 'wood') {
    const [base, plank, turned] = [90 + random() * 60, 90 + random() * 80, random() * 0.6 - 0.3]
    return (x, y) => {
      const [u, v] = [(x + y * turned) * scale, (y - x * turned) * scale]
      const grain = noise(u / 160, v / 5) * 16 + noise(u / 40, v / 2) * 8
      const seam = ((v % plank) + plank) % plank < 3 ? -38 : 0
      const light = base + grain + seam + noise(0, Math.floor(v / plank)) * 14
      return [light * 1.12, light * 0.88, light * 0.66]
    }
  }
  if (clutter === 'cloth') {
    const [size, base, contrast] = [24 + random() * 60, 90 + random() * 70, 20 + random() * 50]
    const hue: Colour = [0.8 + random() * 0.4, 0.8 + random() * 0.4, 0.8 + random() * 0.4]
    return (x, y) => {
      const [u, v] = [x * scale + noise(x / 90, y / 90) * 6, y * scale + noise(y / 90, x / 90) * 6]
      const squares = (Math.floor(u / size) + Math.floor(v / size)) % 2 === 0 ? contrast : 0
      const light = base + squares + noise(u, v) * 9
      return [light * hue[0], light * hue[1], light * hue[2]]
    }
  }
  if (clutter === 'pale') {
    const light = 205 + random() * 14
    return (x, y) => {
      const value = light + noise(x / 50, y / 50) * 5
      return [value, value * 0.985, value * 0.95]
    }
  }
  const base = 50 + random() * 90
  const hue: Colour = [0.8 + random() * 0.4, 0.85 + random() * 0.3, 0.8 + random() * 0.4]
  return (x, y) => {
    const light = base + noise(x / 70, y / 70) * 14 + noise(x / 9, y / 9) * 5
    return [light * hue[0], light * hue[1], light * hue[2]]
  }
}

function outdoors(kind: 'view' | 'plants', random: () => number, width: number, height: number): Paint {
  const noise = noiseFrom(Math.floor(random() * 1e9))
  const horizon = height * (0.3 + random() * 0.3)
  if (kind === 'plants') {
    return (x, y) => {
      const blade = noise(x / 5, y / 70) * 60 + noise(x / 22, y / 22) * 30
      return [80 + blade, 110 + blade * 1.1, 55 + blade * 0.6]
    }
  }
  return (x, y) => {
    const line = horizon + noise(x / 150, 1) * height * 0.06
    if (y < line) return [150 + y * 0.1 + noise(x / 200, y / 60) * 18, 180 + y * 0.08, 215]
    const light = 95 + noise(x / 60, y / 12) * 28 + ((y - line) / height) * 40
    return [light * 1.05, light, light * 0.75 + (width - x) * 0.01]
  }
}

interface Thing {
  readonly colour: Colour
  readonly holds: (x: number, y: number) => boolean
}

/** Pens, coins and labels, some of them over an edge of the sheet. */
function scatter(random: () => number, corners: Quad, width: number): Thing[] {
  return Array.from({ length: 2 + Math.floor(random() * 4) }, () => {
    const corner = Math.floor(random() * 4)
    const [p, q] = [corners[corner] as Point, corners[(corner + 1) % 4] as Point]
    const along = 0.15 + random() * 0.7
    const off = (random() - 0.35) * width * 0.12
    const [dx, dy] = [q.x - p.x, q.y - p.y]
    const length = Math.hypot(dx, dy)
    const middle = { x: p.x + dx * along + (dy / length) * off, y: p.y + dy * along - (dx / length) * off }
    const colour: Colour = [random() * 230, random() * 200, random() * 200]
    const kind = random()
    if (kind < 0.35) {
      const radius = width * (0.012 + random() * 0.02)
      return { colour, holds: (x, y) => Math.hypot(x - middle.x, y - middle.y) < radius }
    }
    const [half, thick] = kind < 0.75 ? [width * 0.09, width * 0.006] : [width * 0.04, width * 0.022]
    return bar(middle, random() * Math.PI, half, thick, colour)
  })
}

/** Other sheets that lie partly under this one. */
function otherPapers(random: () => number, corners: Quad, width: number): Thing[] {
  return Array.from({ length: 1 + Math.floor(random() * 2) }, () => {
    const corner = corners[Math.floor(random() * 4)] as Point
    const light = 190 + random() * 50
    const middle = {
      x: corner.x + (random() - 0.5) * width * 0.2,
      y: corner.y + (random() - 0.5) * width * 0.2,
    }
    const colour: Colour = [light, light - random() * 16, light - random() * 30]
    return bar(middle, random() * Math.PI, width * 0.16, width * 0.1, colour)
  })
}

function bar(middle: Point, angle: number, half: number, thick: number, colour: Colour): Thing {
  const [cosine, sine] = [Math.cos(angle), Math.sin(angle)]
  return {
    colour,
    holds: (x, y) => {
      const [u, v] = [
        (x - middle.x) * cosine + (y - middle.y) * sine,
        (y - middle.y) * cosine - (x - middle.x) * sine,
      ]
      return Math.abs(u) < half && Math.abs(v) < thick
    },
  }
}

/** How much light falls where: brighter on one side, and often a soft-edged shadow over a part. */
function lightOf(
  clutter: ClutterKind,
  random: () => number,
  width: number,
  height: number,
): (x: number, y: number) => number {
  const [angle, fall, level] = [random() * 2 * Math.PI, random() * 0.4, 0.62 + random() * 0.36]
  const cast = clutter === 'shadow' || random() < 0.25
  const [edgeAngle, edgeAt, depth, soft] = [
    random() * Math.PI * 2,
    random() * 0.4 - 0.1,
    0.3 + random() * 0.3,
    8 + random() * 50,
  ]
  return (x, y) => {
    const [u, v] = [x / width - 0.5, y / height - 0.5]
    const across = level * (1 - fall * (u * Math.cos(angle) + v * Math.sin(angle) + 0.5))
    if (!cast) return across
    const beyond = (u * Math.cos(edgeAngle) + v * Math.sin(edgeAngle) - edgeAt) * width
    return across * (1 - depth / (1 + Math.exp(-beyond / soft)))
  }
}

interface Exposure {
  readonly scene: Paint
  readonly light: (x: number, y: number) => number
  readonly random: () => number
  readonly width: number
  readonly height: number
}

/** The photo: the scene in its light, a lens that blurs by half a pixel, and the noise of a camera. */
function expose({ scene, light, random, width, height }: Exposure): Raster {
  const raster = makeRaster({ width, height })
  const grain = 1.4 + random() * 4.2
  const lit = new Float32Array((width + 1) * (height + 1) * 3)
  for (let y = 0, at = 0; y <= height; y += 1) {
    for (let x = 0; x <= width; x += 1, at += 3) {
      const [red, green, blue] = scene(x, y)
      const level = light(x, y)
      lit[at] = red * level
      lit[at + 1] = green * level
      lit[at + 2] = blue * level
    }
  }
  const row = (width + 1) * 3
  for (let y = 0, at = 0; y < height; y += 1) {
    for (let x = 0, from = y * row; x < width; x += 1, at += 4, from += 3) {
      for (let channel = 0; channel < 3; channel += 1) {
        const here = from + channel
        const four =
          (lit[here] as number) +
          (lit[here + 3] as number) +
          (lit[here + row] as number) +
          (lit[here + row + 3] as number)
        raster.data[at + channel] = four / 4 + (random() * 2 - 1) * grain
      }
      raster.data[at + 3] = 255
    }
  }
  return raster
}
