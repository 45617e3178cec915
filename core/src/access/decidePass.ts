// Whether a pass may be given, or changed.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import { isEmptyWindow } from '../time/index.ts'
import type { Instant, TimeWindow } from '../time/index.ts'
import { audienceDefinitionOf } from './audiences/audienceDefinitions.ts'
import type { AudienceKind } from './audiences/audienceDefinitions.ts'
import type { AccessRight } from './valueLists.ts'

export interface PassWish extends TimeWindow {
  readonly audience: AudienceKind
  readonly rights: readonly AccessRight[]
}

/**
 * Decides whether a pass may be given: the sharing rules allow its audience, its window is not over, and a link
 * grants `look` only.
 */
export function decidePass(wish: PassWish, allowed: ReadonlySet<AudienceKind>, at: Instant): Decision {
  if (!allowed.has(wish.audience)) return no('audience-forbidden')
  if (isEmptyWindow(wish)) return no('window-empty')
  if (wish.until !== null && wish.until <= at) return no('window-over')
  if (!wish.rights.includes('look')) return no('pass-without-look')
  if (audienceDefinitionOf(wish.audience).hasAddress && wish.rights.length > 1) return no('link-only-looks')
  return yes
}
