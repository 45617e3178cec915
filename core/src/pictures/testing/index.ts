// What tests and benches of other rooms draw: photos of sheets, and pictures of none.
export { drawSheet } from './drawSheet.ts'

export { measureCorners } from './measureCorners.ts'
