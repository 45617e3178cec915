// Opening a picture of unknown hands: few kinds, one page, limited in size and time.
import { MOST_PIXELS } from '@valise/core/evidence'
import sharp from 'sharp'
import type { Metadata, Sharp } from 'sharp'
import type { FileStore } from '../files/index.ts'

const LIMIT_SECONDS = 40

/** The picture for working on it, which fails where it is damaged or claims too many pixels. */
export function openPicture(files: FileStore, sha256: string): Promise<Sharp> {
  return openLimited(files, sha256, MOST_PIXELS)
}

/** What the picture claims of itself. Only its head is read, so no claim is too large to be heard. */
export async function readPictureHead(files: FileStore, sha256: string): Promise<Metadata> {
  return (await openLimited(files, sha256, false)).metadata()
}

async function openLimited(
  files: FileStore,
  sha256: string,
  limitInputPixels: number | false,
): Promise<Sharp> {
  const picture = sharp({ limitInputPixels, failOn: 'error', pages: 1 })
  const content = await files.open(sha256)
  content.on('error', (error) => picture.destroy(error))
  return content.pipe(picture).timeout({ seconds: LIMIT_SECONDS })
}

/** The readers of kinds that are worth their risk; every other one of the library is shut in this process. */
const allowedReaders = [
  'VipsForeignLoadJpeg',
  'VipsForeignLoadPng',
  'VipsForeignLoadWebp',
  'VipsForeignLoadNsgif',
  'VipsForeignLoadTiff',
  'VipsForeignLoadHeif',
]

/** Shuts all readers but those for pictures that Valise opens, in every thread of the process; see `onceInProcess`. */
export function shutOtherReaders(): void {
  sharp.block({ operation: ['VipsForeignLoad'] })
  sharp.unblock({ operation: allowedReaders })
}
