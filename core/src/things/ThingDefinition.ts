// What the rooms may do with a thing of one kind.

export interface ThingDefinition {
  /** Where its screens are: `/path` for all, `/path/id` for one. */
  readonly path: string
  /** Passes are given for it, and it may lie in collections. */
  readonly isShared: boolean
  /** Others see it once it is published; without this they see what stands there. */
  readonly hasDraft: boolean
  /** It holds others, which are read one after the other; for what is shared. */
  readonly isContainer: boolean
  /** It can be handed in. */
  readonly isHandedIn: boolean
}
