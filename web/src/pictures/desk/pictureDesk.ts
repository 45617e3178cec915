// The bench's computation as the screen calls it; one worker per picture, ended with its screen.
import { wrap } from 'comlink'
import type { Remote } from 'comlink'
import type { PictureWorker } from './pictureWorker.ts'

export interface PictureDesk {
  readonly work: Remote<PictureWorker>
  end(): void
}

export function openDesk(): PictureDesk {
  const worker = new Worker(new URL('./pictureWorker.ts', import.meta.url), { type: 'module' })
  return { work: wrap<PictureWorker>(worker), end: () => worker.terminate() }
}

/** Returns a seed for the pattern over a concealed region, so that no two look the same. */
export function newSeed(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0] ?? 1
}
