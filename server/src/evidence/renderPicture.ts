// Renditions of a picture: small ones to show in its place. Everything its camera wrote into the file stays out of them.
import type { PreviewProblem, RenditionKind } from '@valise/core/evidence'
import { differenceHash, HASH_HEIGHT, HASH_WIDTH } from '@valise/core/pictures'
import type { Sharp } from 'sharp'
import type { FileStore } from '../files/index.ts'
import { openPicture } from './openPicture.ts'

/** Raised when renditions come out otherwise than before, so that old ones are not taken for new. */
export const MAKER_VERSION = 1

export interface Rendered {
  readonly kind: RenditionKind
  readonly sha256: string
  readonly bytes: number
  readonly mime: string
  readonly width: number
  readonly height: number
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

export async function renderPicture(
  files: FileStore,
  { sha256 }: { sha256: string },
): Promise<RenderedPicture> {
  try {
    const picture = (await openPicture(files, sha256)).autoOrient()
    const made = await Promise.all([make('thumbnail'), make('screen')])
    return { made, problem: null, hash: await hashOf(picture.clone()) }

    async function make(kind: RenditionKind): Promise<Rendered> {
      const { width, height, quality } = boxes[kind]
      const resized = picture.clone().resize({ width, height, fit: 'inside', withoutEnlargement: true })
      const { data, info } = await resized.webp({ quality }).toBuffer({ resolveWithObject: true })
      const stored = await files.put(once(data))
      return { kind, ...stored, mime: 'image/webp', width: info.width, height: info.height }
    }
  } catch (error) {
    if (!isAboutThePicture(error)) throw error
    return { made: [], problem: 'picture-damaged', hash: null }
  }
}

async function hashOf(picture: Sharp): Promise<string> {
  const small = picture.flatten({ background: '#ffffff' }).greyscale()
  const resized = small.resize({ width: HASH_WIDTH, height: HASH_HEIGHT, fit: 'fill', kernel: 'lanczos3' })
  return differenceHash(await resized.toFormat('raw').toBuffer())
}

async function* once(data: Uint8Array): AsyncIterable<Uint8Array> {
  yield data
}

/** Whether it was the picture that could not be read, and not the disk that was full. */
function isAboutThePicture(error: unknown): boolean {
  return error instanceof Error && !('code' in error)
}
