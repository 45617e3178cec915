// Pictures computed in a worker, and the canvas that shows the result.
export { ResultCanvas } from './ResultCanvas.tsx'
export { newSeed, openDesk } from './pictureDesk.ts'
export type { PictureDesk } from './pictureDesk.ts'
export type { Preview } from './pictureWorker.ts'
export { default as pictureStyles } from './ResultCanvas.module.css'
