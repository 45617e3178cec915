// Renditions of a picture: small ones to show in its place. Everything its camera wrote into the file stays out of them.
import type { PreviewProblem, RenditionKind } from '@valise/core/evidence'
import {
  differenceHash,
  finish,
  fitPixels,
  HASH_HEIGHT,
  HASH_WIDTH,
  paintRecipeMarks,
  runRecipe,
  stepOf,
} from '@valise/core/pictures'
import type { PictureRecipe, Size } from '@valise/core/pictures'
import sharp from 'sharp'
import type { Sharp } from 'sharp'
import { streamOf } from '../files/index.ts'
import type { FileStore } from '../files/index.ts'
import { drawOn } from './drawOn.ts'
import { usePicture } from './openPicture.ts'

/** Raised when renditions come out differently, so that old ones are made again. */
export const MAKER_VERSION = 1

interface Rendered {
  readonly kind: RenditionKind
  readonly sha256: string
  readonly bytes: number
  readonly mime: string
  readonly width: number
  readonly height: number
  /** The size that the picture has before it is made small. */
  readonly fullWidth: number
  readonly fullHeight: number
}

export interface PictureToRender {
  readonly sha256: string
  /** How it is put right first, and the size that this was made for; without one it is shown as it came. */
  readonly recipe?: PictureRecipe
  readonly original?: Size
}

/** `made` is empty where there is a problem. */
export interface RenderedPicture {
  readonly made: readonly Rendered[]
  readonly problem: PreviewProblem | null
  /** What it looks like; null where there is a problem. */
  readonly hash: string | null
}

/** The box in pixels that each kind fits into: twice what screens show, for those with fine pixels. */
const boxes = {
  thumbnail: { width: 640, height: 320, quality: 76 },
  screen: { width: 1600, height: 1600, quality: 82 },
} as const satisfies Record<RenditionKind, object>

export async function renderPicture(files: FileStore, wanted: PictureToRender): Promise<RenderedPicture> {
  try {
    return await useForRendering(files, wanted, async (picture, fullSize) => {
      const small = await shrinkToScreen(picture)
      const made = [
        await make(files, 'thumbnail', small, fullSize),
        await make(files, 'screen', small, fullSize),
      ]
      return { made, problem: null, hash: await hashOf(openSmall(small)) }
    })
  } catch (error) {
    if (!isAboutThePicture(error)) throw error
    return { made: [], problem: 'picture-damaged', hash: null }
  }
}

interface SmallPicture {
  readonly data: Buffer
  readonly info: { readonly width: number; readonly height: number; readonly channels: 1 | 2 | 3 | 4 }
}

/** The pixels of the largest rendition. All of them are made from these, so that the file is decoded once. */
async function shrinkToScreen(picture: Sharp): Promise<SmallPicture> {
  const { width, height } = boxes.screen
  const resized = picture.resize({ width, height, fit: 'inside', withoutEnlargement: true })
  const plain = resized.toColourspace('srgb').toFormat('raw', { depth: 'uchar' })
  const { data, info } = await plain.toBuffer({ resolveWithObject: true })
  return { data, info }
}

function openSmall({ data, info: { width, height, channels } }: SmallPicture): Sharp {
  return sharp(data, { raw: { width, height, channels } })
}

async function make(
  files: FileStore,
  kind: RenditionKind,
  small: SmallPicture,
  fullSize: Size | null,
): Promise<Rendered> {
  const { width, height, quality } = boxes[kind]
  const resized = openSmall(small).resize({ width, height, fit: 'inside', withoutEnlargement: true })
  const { data, info } = await resized.webp({ quality }).toBuffer({ resolveWithObject: true })
  const stored = await files.put(streamOf(data))
  const size = { width: info.width, height: info.height }
  const { width: fullWidth, height: fullHeight } = fullSize ?? size
  return { kind, ...stored, mime: 'image/webp', ...size, fullWidth, fullHeight }
}

/**
 * Opens a picture at full size, as it is to be shown.
 *
 * @param use gets the size where a recipe made it
 */
export function useForRendering<T>(
  files: FileStore,
  { sha256, recipe, original }: PictureToRender,
  use: (picture: Sharp, fullSize: Size | null) => Promise<T>,
): Promise<T> {
  return usePicture(files, sha256, async (picture) => {
    const upright = picture.autoOrient()
    if (!recipe || !original) return use(upright, null)
    const made = await putRight(upright, recipe, original)
    return use(made.picture, made.size)
  })
}

/** Larger pictures are made as small as can be worked on; the recipe knows by the original's size. */
async function putRight(
  upright: Sharp,
  recipe: PictureRecipe,
  original: Size,
): Promise<{ readonly picture: Sharp; readonly size: Size }> {
  const resized = upright.resize({ ...fitPixels(original), fit: 'fill', withoutEnlargement: true })
  const plain = resized.toColourspace('srgb').ensureAlpha().toFormat('raw', { depth: 'uchar' })
  const { data, info } = await plain.toBuffer({ resolveWithObject: true })
  const { width, height } = info
  const plainly = finish(runRecipe({ data, width, height }, recipe, original))
  const hasMarks = stepOf(recipe.steps, 'mark')?.on === true
  const result = hasMarks
    ? drawOn(plainly, (drawing) => paintRecipeMarks(drawing, recipe, original, plainly))
    : plainly
  const raw = { width: result.width, height: result.height, channels: 4 } as const
  const bytes = Buffer.from(result.data.buffer, result.data.byteOffset, result.data.byteLength)
  return { picture: sharp(bytes, { raw, limitInputPixels: false }), size: raw }
}

async function hashOf(picture: Sharp): Promise<string> {
  const small = picture.flatten({ background: '#ffffff' }).greyscale()
  const resized = small.resize({ width: HASH_WIDTH, height: HASH_HEIGHT, fit: 'fill', kernel: 'lanczos3' })
  return differenceHash(await resized.toFormat('raw').toBuffer())
}

/** Whether it was the picture that could not be read, and not the disk that was full. */
function isAboutThePicture(error: unknown): boolean {
  return error instanceof Error && !('code' in error)
}
