// Goes through the samples of a sound, apart from the screen.
import { peaksOf } from './peaksOf.ts'

self.onmessage = ({ data }: MessageEvent<{ samples: Float32Array; bars: number }>) => {
  self.postMessage(peaksOf(data.samples, data.bars))
}
