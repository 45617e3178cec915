// Uses over HTTP.
import { AppError } from '@valise/core/problems'
import { usesSchema } from '@valise/core/things'
import { idSchema, object } from '@valise/core/schemas'
import { route } from '../http/index.ts'
import { findOwnThing } from '../things/index.ts'
import { listUses } from './store.ts'

export const usesRoutes = [
  route(
    {
      method: 'get',
      path: '/api/things/{id}/uses',
      summary: 'Where a thing of mine is shown, and the submissions that contain it',
      who: 'signed-in',
      params: object({ id: idSchema }),
      answer: usesSchema,
    },
    async ({ reader, actor, params }) => {
      const thing = await findOwnThing(reader, actor, params.id)
      if (!thing) throw new AppError('not-found', 'not-found')
      return listUses(reader, actor, params.id)
    },
  ),
]
