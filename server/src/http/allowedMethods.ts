// Which methods an address takes, for those who ask it in another way.
import { patternOf } from './patternOf.ts'
import type { Route } from './route.ts'

/** Returns a function from a path to its `Allow` header; null for unknown paths. */
export function allowedMethods(routes: readonly Pick<Route, 'spec'>[]): (path: string) => string | null {
  const known = routes.map(({ spec }) => ({
    pattern: patternOf(spec.path.replace(/\{(\w+)\}/g, ':$1')),
    method: spec.method.toUpperCase(),
  }))
  return (path) => {
    const methods = known.flatMap(({ pattern, method }) => (pattern.test(path) ? [method] : []))
    if (methods.length === 0) return null
    const all = methods.includes('GET') ? [...methods, 'HEAD'] : methods
    return [...new Set(all)].sort().join(', ')
  }
}
