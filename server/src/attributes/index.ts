// Sets of attributes, which students rate themselves on.
export { attributeSetRoutes } from './routes.ts'
export { attributeSetRoom } from './attributeSetRoom.ts'
export { attributeSetInBin } from './inBin.ts'
