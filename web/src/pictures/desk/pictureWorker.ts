// The bench's computation, apart from the screen: holds the picture, makes previews and the whole, finds and proposes.
import {
  findPrivateRegions,
  finish,
  histogramOf,
  paintRecipeMarks,
  proposeRecipe,
  runRecipe,
  shrink,
  refineCorners,
  squareStepFor,
  stepOf,
  TEXT_FONT,
  findCorners,
} from '@valise/core/pictures'
import type {
  ConcealedRegion,
  PictureRecipe,
  Proposal,
  Quad,
  Raster,
  RecipeStep,
  Size,
  SquareStep,
} from '@valise/core/pictures'
import fontAddress from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url'
import { expose, transfer } from 'comlink'
import { getBytes } from '../../api/index.ts'

/** What one sees while a handle moves. */
const PREVIEW_AT = 1280

export interface Preview {
  readonly bitmap: ImageBitmap
  /** How many pixels have each grey value, after the recipe. */
  readonly grey: Uint32Array
}

let taken: Raster | null = null
let small: Raster | null = null
let original: Size = { width: 1, height: 1 }
/** Raised to leave work that nobody waits for any more. */
let wanted = 0

/** A worker has no style sheets: it fetches the font of words and numbers for itself. Without it another one stands in. */
const font = loadFont().catch(() => undefined)

async function loadFont(): Promise<void> {
  const face = await new FontFace(TEXT_FONT, await getBytes(fontAddress), { weight: '200 800' }).load()
  // The types of the page say nothing of a worker's own fonts.
  ;(self as unknown as { readonly fonts: FontFaceSet }).fonts.add(face)
}

const worker = {
  /**
   * Takes a picture in. `of` is the size that recipes are made for; without it, the picture's own.
   *
   * @throws Error when the browser cannot open it
   */
  async open(picture: Blob, of?: Size): Promise<Size> {
    const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' })
    taken = readRaster(bitmap)
    original = of ?? { width: taken.width, height: taken.height }
    small = shrink(taken, PREVIEW_AT)
    return original
  },

  /** Takes the picture in once more with all its pixels; the previews stay as they are. */
  async openWhole(picture: Blob): Promise<void> {
    taken = readRaster(await createImageBitmap(picture, { imageOrientation: 'from-image' }))
  },

  propose(seed: number): Proposal {
    return proposeRecipe(held(), original, seed)
  },

  findSheet(): SquareStep | null {
    const sheet = findCorners(held())
    return sheet && squareStepFor(sheet, held())
  },

  /** Corners that were dragged near, put exactly where the sheet's edges meet; in parts of the picture's sides. */
  snap(corners: SquareStep['corners']): SquareStep['corners'] {
    const { width, height } = held()
    const quad = corners.map(([x, y]) => ({ x: x * width, y: y * height })) as unknown as Quad // four went in
    const snapped = refineCorners(held(), quad, [false, false, false, false])
    return snapped.map(({ x, y }): [number, number] => [x / width, y / height]) as SquareStep['corners'] // as above
  },

  findNames(steps: readonly RecipeStep[], seed: number): ConcealedRegion[] {
    return findPrivateRegions(held(), original, steps, seed).map(({ region }) => region)
  },

  /** The picture as a recipe makes it, at the size of a screen. */
  async preview(recipe: PictureRecipe): Promise<Preview> {
    if (!small) throw new Error('no picture is open')
    const result = finish(runRecipe(copyOf(small), recipe, original))
    const grey = histogramOf(result).grey
    const bitmap = await toBitmap(result, recipe)
    return transfer({ bitmap, grey }, [bitmap, grey.buffer])
  },

  /** The whole picture; null when it was left meanwhile. Tells how far it is, from 0 to 1. */
  async whole(recipe: PictureRecipe, onProgress: (fraction: number) => void): Promise<ImageBitmap | null> {
    wanted += 1
    const own = wanted
    const work = runRecipe(copyOf(held()), recipe, original)
    for (;;) {
      const step = work.next()
      if (step.done) {
        const bitmap = await toBitmap(step.value, recipe)
        return transfer(bitmap, [bitmap])
      }
      onProgress(step.value)
      // Lets what was sent meanwhile come in: another wish, or that this one is left.
      await new Promise((resolve) => setTimeout(resolve))
      if (own !== wanted) return null
    }
  },

  leave(): void {
    wanted += 1
  },
}
export type PictureWorker = typeof worker

function held(): Raster {
  if (!taken) throw new Error('no picture is open')
  return taken
}

function readRaster(bitmap: ImageBitmap): Raster {
  const { width, height } = bitmap
  const context = contextOf(width, height)
  context.drawImage(bitmap, 0, 0)
  bitmap.close()
  const { data } = context.getImageData(0, 0, width, height)
  return { width, height, data }
}

function contextOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('this browser cannot draw apart from the screen')
  return context
}

/** A recipe paints over what it is given. */
function copyOf(raster: Raster): Raster {
  return { ...raster, data: Uint8ClampedArray.from(raster.data) }
}

async function toBitmap({ data, width, height }: Raster, recipe: PictureRecipe): Promise<ImageBitmap> {
  const samples = new Uint8ClampedArray(data.buffer as ArrayBuffer, data.byteOffset, data.byteLength)
  const image = new ImageData(samples, width, height)
  if (!stepOf(recipe.steps, 'mark')?.on) return createImageBitmap(image)
  await font
  const context = contextOf(width, height)
  context.putImageData(image, 0, 0)
  paintRecipeMarks(context, recipe, original, { width, height })
  return createImageBitmap(context.canvas)
}

expose(worker)
