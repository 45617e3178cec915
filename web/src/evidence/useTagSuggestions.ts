// Tags that are offered while one types: those in use, and the codes of one's classes.
import type { TagsInUse } from '@valise/core/evidence'
import { toTagKey } from '@valise/core/evidence'
import { useMemo } from 'react'
import { useSession } from '../people/useSession.ts'

/** @param more what the place one stands in suggests, such as the title of an assignment */
export function useTagSuggestions(inUse: TagsInUse | undefined, more: readonly string[] = []): string[] {
  const { memberships } = useSession()
  const codes = memberships.map(({ classCode }) => classCode)
  return useMemo(() => {
    const all = [...more, ...(inUse ?? []).map(({ tag }) => tag), ...codes]
    return all.filter((tag, n) => all.findIndex((one) => toTagKey(one) === toTagKey(tag)) === n)
    // The codes are new each time and say the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [inUse, codes.join(), more.join()])
}
