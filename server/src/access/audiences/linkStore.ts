// Whoever holds a link.
import { isOneOf } from '../../database/index.ts'
import type { AudienceStore } from './AudienceStore.ts'

export const linkStore: AudienceStore<'link'> = {
  isFor: (_, viewer) =>
    viewer.kind === 'system' || viewer.links.length === 0
      ? null
      : (passes) => void passes.modify(isOneOf, 'passes.id', viewer.links),
  members: () => null,
  isKnown: () => true,
  name: ({ linkName }) => linkName ?? '',
}
