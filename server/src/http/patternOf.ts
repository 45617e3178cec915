// Paths with parameters as patterns.

/**
 * Compiles a path pattern. @param path such as `/pages/:id/:slug?`; a segment with `?` is optional
 */
export function patternOf(path: string): RegExp {
  const segments = path.split('/').filter((segment) => segment !== '')
  const parts = segments.map((segment) => {
    if (!segment.startsWith(':')) return `/${segment.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`
    return segment.endsWith('?') ? '(?:/[^/]+)?' : '/[^/]+'
  })
  return new RegExp(`^${parts.join('')}/?$`)
}
