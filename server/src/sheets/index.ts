// Question sheets: what people write, publish and offer to their classes, and those that ship.
export { sheetRoutes } from './routes.ts'
export { sheetRoom } from './sheetRoom.ts'
export { sheetInBin } from './inBin.ts'
