// Sets of attributes over HTTP.
import { attributeSetSchemas } from '@valise/core/attributes'
import { offeredRoutes } from '../offers/index.ts'
import { attributeSetRoom } from './attributeSetRoom.ts'

export const attributeSetRoutes = offeredRoutes(
  { path: '/api/attribute-sets', name: 'set of attributes' },
  attributeSetSchemas,
  attributeSetRoom,
)
