// Question sheets over HTTP.
import { sheetSchemas } from '@valise/core/sheets'
import { offeredRoutes } from '../offers/index.ts'
import { sheetRoom } from './sheetRoom.ts'

export const sheetRoutes = offeredRoutes(
  { path: '/api/sheets', name: 'question sheet' },
  sheetSchemas,
  sheetRoom,
)
