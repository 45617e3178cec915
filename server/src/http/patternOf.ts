// Paths with parameters as patterns.

/** @param path such as `/pages/:id/:slug?`; a segment with `?` may be missing */
export function patternOf(path: string): RegExp {
  const segments = path.split('/').filter((segment) => segment !== '')
  const parts = segments.map((segment) => {
    if (!segment.startsWith(':')) return `/${segment.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`
    return segment.endsWith('?') ? '(?:/[^/]+)?' : '/[^/]+'
  })
  return new RegExp(`^${parts.join('')}/?$`)
}
