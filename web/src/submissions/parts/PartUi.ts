// What a kind of things that can be handed in brings to the hand-in.
import type { ListedPart, PartCopy } from '@valise/core/submissions'
import type { ComponentType } from 'react'

export interface AboutPartProps {
  readonly part: ListedPart
  readonly assignmentId: string
  readonly onCopy: (copy: PartCopy) => void
}

export interface ChooserProps {
  /** What is gathered on the way is made for it. */
  readonly assignmentId: string
  /** What is listed already. */
  readonly listed: readonly string[]
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export interface PartUi {
  /** How one is chosen; null for what nobody chooses. */
  readonly chosen: ChosenPartUi | null
  readonly Icon: ComponentType<{ readonly part: ListedPart }>
  /** Which copy of it goes in. */
  readonly About: ComponentType<AboutPartProps>
}

interface ChosenPartUi {
  /** On the button that chooses more of the kind. */
  readonly add: 'add.page' | 'add.entry' | 'add.evidence'
  readonly Chooser: ComponentType<ChooserProps>
}
