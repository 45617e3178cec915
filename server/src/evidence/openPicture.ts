// Opening a picture of unknown hands: few kinds, one page, limited in size and time.
import { MOST_PIXELS } from '@valise/core/evidence'
import sharp from 'sharp'
import type { Metadata, Sharp } from 'sharp'
import type { FileStore } from '../files/index.ts'

const LIMIT_SECONDS = 40

/**
 * Opens a picture for processing; pixels are read from disk on demand, never as a whole file.
 *
 * Where it is damaged or claims too many pixels, whatever `use` computes fails.
 */
export function usePicture<T>(
  files: FileStore,
  sha256: string,
  use: (picture: Sharp) => Promise<T>,
): Promise<T> {
  return files.useLocally(sha256, (path) => use(openLimited(path, MOST_PIXELS)))
}

/** Reads the header of a picture only, so that any claimed size is safe to read. */
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

/**
 * Disables all decoders but those for pictures that Valise opens, in the whole process, and turns the pixel cache
 * off.
 */
export function shutOtherReaders(): void {
  sharp.cache(false)
  sharp.block({ operation: ['VipsForeignLoad'] })
  sharp.unblock({ operation: allowedReaders })
}
