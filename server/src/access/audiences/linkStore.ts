// Whoever holds a link.
import type { AudienceStore } from './AudienceStore.ts'

export const linkStore: AudienceStore<'link'> = {
  isFor: (_, viewer) =>
    viewer.kind === 'system' || viewer.links.length === 0
      ? null
      : (passes) => void passes.whereIn('passes.id', [...viewer.links]),
  members: () => null,
  isKnown: () => true,
  name: ({ linkName }) => linkName ?? '',
}
