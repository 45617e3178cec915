// Opening a picture of unknown hands: few kinds, one page, limited in size and time.
import { MOST_PIXELS } from '@valise/core/evidence'
import sharp from 'sharp'
import type { Metadata, Sharp } from 'sharp'
import type { FileStore } from '../files/index.ts'

const LIMIT_SECONDS = 40

/**
 * Opens the picture for working on it; its pixels are read from the disk as they are wanted, never held as a file.
 *
 * Where it is damaged or claims too many pixels, whatever `use` makes of it fails.
 */
export function usePicture<T>(
  files: FileStore,
  sha256: string,
  use: (picture: Sharp) => Promise<T>,
): Promise<T> {
  return files.useLocally(sha256, (path) => use(openLimited(path, MOST_PIXELS)))
}

/** What the picture claims of itself. Only its head is read, so no claim is too large to be heard. */
export function readPictureHead(files: FileStore, sha256: string): Promise<Metadata> {
  return files.useLocally(sha256, (path) => openLimited(path, false).metadata())
}

function openLimited(path: string, limitInputPixels: number | false): Sharp {
  return sharp(path, { limitInputPixels, failOn: 'error', pages: 1 }).timeout({ seconds: LIMIT_SECONDS })
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

/** Shuts all readers but those for pictures that Valise opens, in the whole process, and keeps no pixels for later. */
export function shutOtherReaders(): void {
  sharp.cache(false)
  sharp.block({ operation: ['VipsForeignLoad'] })
  sharp.unblock({ operation: allowedReaders })
}
