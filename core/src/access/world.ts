// All that access is computed from: things, the places they lie in, passes, memberships, and what the school allows.
import type { Edge } from '../collections/index.ts'
import type { ClassRole } from '../people/index.ts'
import type { SharedKind } from '../things/index.ts'
import type { Instant, TimeWindow } from '../time/index.ts'
import type { AudienceKind } from './audiences/audienceDefinitions.ts'
import type { AccessRight } from './valueLists.ts'

/**
 * Who wants to see something: a signed-in person, the holder of links only, or a background job with a named reason.
 */
export type Viewer =
  | { readonly kind: 'person'; readonly personId: string; readonly links: readonly string[] }
  | { readonly kind: 'visitor'; readonly links: readonly string[] }
  | { readonly kind: 'system'; readonly reason: string }

export interface AccessThing {
  readonly id: string
  readonly kind: SharedKind
  readonly ownerId: string
  /** Collections have no draft: they always are. */
  readonly isPublished: boolean
  readonly isBinned: boolean
}

/** Whom a pass is for. Its kind says which of the ids it goes by. */
export interface PassAudience {
  readonly kind: AudienceKind
  readonly personId: string | null
  readonly classId: string | null
}

export interface AccessPass extends TimeWindow {
  readonly id: string
  readonly thingId: string
  readonly audience: PassAudience
  readonly rights: readonly AccessRight[]
  /** When its giver ended it before its time; null while it was not. */
  readonly endedAt: Instant | null
}

/** The window of a membership, cut off where the class ended. */
export interface MembershipWindow extends TimeWindow {
  readonly personId: string
  readonly classId: string
  readonly role: ClassRole
}

export interface AccessWorld {
  readonly things: readonly AccessThing[]
  readonly edges: readonly Edge[]
  readonly passes: readonly AccessPass[]
  readonly memberships: readonly MembershipWindow[]
  /** Per owner, the audiences that the rules of the school allow now. An owner who is not named may open to nobody. */
  readonly allowed: ReadonlyMap<string, ReadonlySet<AudienceKind>>
}

/** Why access is granted. `path` leads from the collection that has the pass down to the container of the thing. */
export type AccessGrant =
  | { readonly kind: 'owner' }
  | { readonly kind: 'system' }
  | { readonly kind: 'pass'; readonly passId: string; readonly path: readonly string[] }

/** Why access is refused: because of the thing as a whole, or because of one pass. */
export type Obstacle =
  | { readonly kind: 'no-pass' | 'not-published' | 'in-bin' }
  | { readonly kind: 'hidden' | 'container-in-bin'; readonly passId: string; readonly containerId: string }
  | { readonly kind: 'to-come'; readonly passId: string; readonly from: Instant }
  | { readonly kind: 'ended'; readonly passId: string; readonly until: Instant }
  | { readonly kind: 'rules' | 'right' | 'not-in-class'; readonly passId: string }

export type AccessAnswer =
  | {
      readonly allowed: true
      readonly grants: readonly AccessGrant[]
      /** When it ends if nothing is changed; null without end. */
      readonly until: Instant | null
    }
  | { readonly allowed: false; readonly obstacles: readonly Obstacle[] }
