// What the bench computes over pixels, against libvips on one thread; and how much memory a whole recipe takes.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { applyCurves, findCorners, finish, lightCurves, rectangleToQuad, warp } from '@valise/core/pictures'
import type { Quad, Raster, Size } from '@valise/core/pictures'
import { drawSheet, measureCorners } from '@valise/core/pictures/testing'
import { chromium } from '@playwright/test'
import { buildSync } from 'esbuild'
import sharp from 'sharp'
import { compare, toRow } from '../compare.ts'
import type { Row } from '../compare.ts'

sharp.concurrency(1)
sharp.cache(false)

const whole = { width: 4000, height: 3000 }
const screen = { width: 1280, height: 960 }
const MEMORY_MEGABYTES = 300

/** Squaring up a picture of 12 megapixels, raw to raw, at the same size and channels. */
export function squaring(): Promise<Row> {
  return squareAt(whole, { name: 'squaring up, 12 megapixels', limit: 1 })
}

/** The same at preview size, while a handle moves. */
export function squaringPreview(): Promise<Row> {
  return squareAt(screen, { name: 'squaring up, preview of 1280 pixels', limit: 1.2 })
}

function squareAt(size: Size, what: { readonly name: string; readonly limit: number }): Promise<Row> {
  const picture = noisy(size)
  const map = mapOf(size)
  return compare({
    ...what,
    unit: 'ms of libvips affine',
    ours: () => timed(() => void finish(warp(picture, size, map))),
    reference: () => affine(picture),
  })
}

/** How many of 200 drawn sheets are missed; twenty are allowed. */
export async function cornersMissed(): Promise<Row> {
  const { sheets, all } = measureCorners()
  const mayBe = sheets * 0.1
  return toRow({
    name: 'corners missed, of 200 drawn sheets',
    limit: 1,
    unit: 'sheets that may be missed',
    ratios: [(sheets * (1 - all)) / mayBe],
    references: [mayBe],
  })
}

/** Squaring up in a web worker, against libvips beside it. */
export async function squaringInBrowser(): Promise<Row> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  try {
    const page = await browser.newPage()
    // As text: a function would be sent with what the runner of this program adds to it.
    await page.evaluate(`
      const worker = new Worker(URL.createObjectURL(new Blob([${JSON.stringify(workerCode())}])))
      window.square = () => new Promise((resolve) => {
        worker.onmessage = ({ data }) => resolve(data)
        worker.postMessage(null)
      })
      0`)
    const picture = noisy(whole)
    return await compare({
      name: 'squaring up in a browser’s worker',
      limit: 1.5,
      unit: 'ms of libvips affine',
      ours: () => page.evaluate('square()') as Promise<number>, // the worker answers with milliseconds
      reference: () => affine(picture),
    })
  } finally {
    await browser.close()
  }
}

/** Brightness, contrast and warmth in one table, against one linear step. */
export function levels(): Promise<Row> {
  const picture = noisy(whole)
  const curves = lightCurves({ brightness: 20, contrast: 15, warmth: 5, sharpness: 0 })
  return compare({
    name: 'levels, 12 megapixels',
    limit: 1.5,
    unit: 'ms of libvips linear',
    ours: () => timed(() => void finish(applyCurves(picture, curves))),
    reference: () => timed(() => open(picture).linear(1.2, -10).raw().toBuffer()),
  })
}

/** Finding the corners of a sheet in a picture of 1600 pixels, against blurring it. */
export function findingCorners(): Promise<Row> {
  const { raster } = drawSheet(900, 'wood', 1600)
  return compare({
    name: 'finding corners, 1600 pixels',
    limit: 5,
    unit: 'ms of libvips blur by 2',
    ours: () => timed(() => void findCorners(raster)),
    reference: () => timed(() => open(raster).blur(2).raw().toBuffer()),
  })
}

/** The peak memory of a whole recipe on 12 megapixels, beyond what the process had before. */
export function recipeMemory(): Promise<Row> {
  const program = fileURLToPath(new URL('../runWholeRecipe.ts', import.meta.url))
  const more = Array.from({ length: 15 }, () => {
    const run = spawnSync(process.execPath, ['--import', 'tsx', program], { encoding: 'utf8' })
    if (run.status !== 0) throw new Error(run.stderr)
    return Number(run.stdout)
  })
  return Promise.resolve(
    toRow({
      name: 'memory for a whole recipe, of 300 MB',
      limit: 1,
      unit: 'MB',
      ratios: more.map((megabytes) => megabytes / MEMORY_MEGABYTES),
      references: more.map(() => MEMORY_MEGABYTES),
    }),
  )
}

function workerCode(): string {
  const { width, height } = whole
  const contents = `
    import { finish, warp } from './core/src/pictures/index.ts'
    const size = { width: ${width}, height: ${height} }
    const picture = { ...size, data: new Uint8ClampedArray(${width * height * 4}).map((_, at) => (at * 7919) >> 5) }
    self.onmessage = () => {
      const start = performance.now()
      finish(warp(picture, size, ${JSON.stringify(mapOf(whole))}))
      self.postMessage(performance.now() - start)
    }`
  const resolveDir = fileURLToPath(new URL('../../..', import.meta.url))
  const built = buildSync({ stdin: { contents, resolveDir, loader: 'ts' }, bundle: true, write: false })
  return built.outputFiles[0]?.text ?? ''
}

function noisy(size: Size): Raster {
  const data = new Uint8ClampedArray(size.width * size.height * 4)
  for (let at = 0; at < data.length; at += 1) data[at] = at % 4 === 3 ? 255 : (at * 7919) >> 5
  return { ...size, data }
}

/** From the straight picture to a sheet seen a little askew. */
function mapOf({ width, height }: Size) {
  const corners: Quad = [
    { x: width * 0.04, y: height * 0.03 },
    { x: width * 0.97, y: height * 0.06 },
    { x: width * 0.95, y: height * 0.98 },
    { x: width * 0.01, y: height * 0.94 },
  ]
  return rectangleToQuad({ width, height }, corners)
}

/**
 * The same pixels moved by libvips: an affine map has no division, so it is the easier one. Of four by three, these
 * factors make a picture of the same size.
 */
function affine(picture: Raster): Promise<number> {
  const factors: [number, number, number, number] = [0.955, 0.06, -0.05, 1 - 0.05 * (4 / 3)]
  return timed(() => open(picture).affine(factors, { interpolator: 'bilinear' }).raw().toBuffer())
}

function open({ data, width, height }: Raster) {
  return sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
    raw: { width, height, channels: 4 },
  })
}

async function timed(act: () => unknown): Promise<number> {
  const start = performance.now()
  await act()
  return performance.now() - start
}
