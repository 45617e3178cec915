// The records, for administrators.
import { recordPageSchema, recordsQuerySchema } from '@valise/core/records'
import { route } from '../http/index.ts'
import { listRecords } from './store.ts'

export const recordRoutes = [
  route(
    {
      method: 'get',
      path: '/api/records',
      summary: 'Who did what when, newest first',
      who: 'administrator',
      query: recordsQuerySchema,
      answer: recordPageSchema,
    },
    ({ reader, query }) => listRecords(reader, query),
  ),
]
