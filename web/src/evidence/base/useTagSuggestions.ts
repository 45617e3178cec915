// Tags that are offered while one types: those in use, and the codes of one's classes.
import type { TagsInUse } from '@valise/core/evidence'
import { toTagKey } from '@valise/core/evidence'
import { useSession } from '../../session/index.ts'

/**
 * @param more suggestions of the context, such as the title of an assignment
 */
export function useTagSuggestions(inUse: TagsInUse | undefined, more: readonly string[] = []): string[] {
  const { memberships } = useSession()
  const codes = memberships.map(({ classCode }) => classCode)
  const all = [...more, ...(inUse ?? []).map(({ tag }) => tag), ...codes]
  const keys = all.map(toTagKey)
  return all.filter((_, n) => keys.indexOf(keys[n] ?? '') === n)
}
