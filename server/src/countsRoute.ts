// How many things several places hold, in one answer: the rail of every screen asks for all of its counts at once.
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from './http/index.ts'
import type { CountAnswer, Route } from './http/index.ts'

/**
 * Makes the route of all counts. @param routes those at `/api/<place>/count` each count one place
 */
export function countsRoute<S>(routes: readonly Route<S>[]): Route<S> {
  const places = new Map(
    routes.flatMap((one) => {
      const [, place] = /^\/api\/([\w-]+)\/count$/.exec(one.spec.path) ?? []
      return place === undefined ? [] : [[place, one] as const]
    }),
  )
  return routesWith<S>().route(
    {
      method: 'get',
      path: '/api/counts',
      summary: 'How many things I have in several places; places that are not known are left out',
      who: 'signed-in',
      query: object({ of: Type.String({ maxLength: 300, description: 'Their names, parted by commas' }) }),
      answer: Type.Record(Type.String(), Type.Integer()),
    },
    async (call) => {
      const names = [...new Set(call.query.of.split(','))]
      const counts = await Promise.all(
        names.flatMap((name) => {
          const one = places.get(name)
          if (!one) return []
          // Counting takes nothing but who asks.
          const counted = one.handle(call as unknown as Parameters<Route<S>['handle']>[0])
          return [counted.then((answer) => [name, (answer as CountAnswer).live] as const)]
        }),
      )
      return Object.fromEntries(counts)
    },
  )
}
