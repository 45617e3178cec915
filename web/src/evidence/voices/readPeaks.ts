// The loudness of a sound over its length: unpacked by the browser, gone through in a worker.
import { getBytes } from '../../api/index.ts'

/** Returns peaks from 0 to 1, one per bar; the loudest is 1. */
export async function readPeaks(address: string, bars: number, signal: AbortSignal): Promise<number[]> {
  const bytes = await getBytes(address, signal)
  const context = new OfflineAudioContext(1, 1, 44_100)
  const sound = await context.decodeAudioData(bytes)
  const samples = sound.getChannelData(0).slice()
  const worker = new Worker(new URL('./peaks.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await new Promise<number[]>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<number[]>) => resolve(data)
      worker.onerror = (event) => reject(new Error(event.message))
      worker.postMessage({ samples, bars }, [samples.buffer])
    })
  } finally {
    worker.terminate()
  }
}
