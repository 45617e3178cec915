// What the database knows of the things of one kind that can be handed in.
import type { Viewer } from '@valise/core/access'
import type { PageDocument, Published, ShownDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader } from '../../database/index.ts'

export interface PartStore {
  /**
   * Lists the documents of one's own things as they are now; with `asOf`, what is handed in by itself as it was then.
   */
  listPresent(
    reader: Reader,
    actor: PersonActor,
    ids: readonly string[],
    asOf: Instant | null,
  ): Promise<PresentPart[]>
  /** Lists what was published of one's own things; none for a kind without drafts. */
  listPublished(reader: Reader, actor: PersonActor, ids: readonly string[]): Promise<PublishedPart[]>
  /** Finds what a viewer may see of a thing outside of what was handed in; null for nothing. */
  findForOthers(reader: Reader, viewer: Viewer, id: string): Promise<SeenPart | null>
}

export interface PresentPart {
  readonly id: string
  readonly document: PageDocument
  /** Of a draft; null for what has none. */
  readonly revision: number | null
}

export interface PublishedPart extends Published {
  readonly id: string
}

interface SeenPart {
  readonly published: ShownDocument | null
}
