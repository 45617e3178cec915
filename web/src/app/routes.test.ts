import { readFileSync } from 'node:fs'
import type { RouteObject } from 'react-router'
import paths from './paths.json'
import { routes } from './routes.tsx'

it('every route has a line in the tests of all screens, and every line has its route', () => {
  const screens = readFileSync(new URL('../../../e2e/support/screens.ts', import.meta.url), 'utf8')
  const looked = [...screens.matchAll(/\bat: '([^']+)'/g)].map(([, at]) => at)
  expect([...new Set(looked)].sort()).toEqual([...new Set(pathsIn(routes))].sort())
})

it('the server is told of every route, so that it can say of other addresses that they are not there', () => {
  expect([...paths].sort()).toEqual([...new Set(pathsIn(routes))].filter((path) => path !== '*').sort())
})

function pathsIn(some: readonly RouteObject[], above = ''): string[] {
  return some.flatMap(({ path = '', children }) => {
    const whole = path === '*' ? path : `${above}/${path}`.replace(/\/+/g, '/').replace(/(?<=.)\/$/, '')
    return children ? pathsIn(children, whole) : [whole]
  })
}
