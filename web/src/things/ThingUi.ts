// What a kind of things brings to the screens that show things of all kinds.
import type { Icon } from '@tabler/icons-react'
import type { Language } from '@valise/core/people'

/** The words of a kind, beside its screens, so that a new kind brings its own. */
export interface ThingWords {
  readonly name: string
  readonly untitled: string
  /** On the button that puts one into the bin. */
  readonly put: string
  /** On the screen of one that lies there. */
  readonly isInBin: string
  readonly takeOut: string
  /** What goes with it when it is removed for good. */
  readonly removed: string
}

export interface ThingUi {
  readonly icon: Icon
  readonly words: Readonly<Record<Language, ThingWords>>
}
