// What tests and benches of other rooms draw: photos of sheets, and pictures of none.
export { type ClutterKind, clutterKinds, drawNoSheet, drawSheet, type SheetPhoto } from './drawSheet.ts'
export { inkRaster, smoothRaster } from './rasters.ts'
export { measureCorners } from './measureCorners.ts'
