// What a kind of question brings to the screens: its icon, how it is answered, and what its author sets.
import type { Icon } from '@tabler/icons-react'
import type { AnswerOf, FieldKind, Given, PageDocument, QuestionOf } from '@valise/core/pages'
import type { ReactNode } from 'react'

/** A function alone, so that a component for any question does for one of them. */
type Component<Props> = (props: Props) => ReactNode

export interface FieldUi<K extends FieldKind> {
  readonly icon: Icon
  readonly Answer: Component<AnswerProps<K>>
  readonly Settings: Component<SettingsProps<K>> | null
  /** Whether what it asks is written elsewhere, and chosen by its settings. */
  readonly isAskedElsewhere?: boolean
}

export interface AnswerProps<K extends FieldKind> {
  readonly given: Given<K>
  /** What it asks. */
  readonly label: string
  /** The ids of the elements that name and explain it. */
  readonly labelledBy: string
  readonly describedBy: string
  readonly lang: PageDocument['lang']
  /** Where a text that cannot be saved waits on this device. */
  readonly place: string
  readonly writing: Writing
  /** What stands beside the question, and how more is put there. */
  readonly beside: ReactNode
  readonly onAnswer: (answer: AnswerOf<K>) => void
}

/** What an open text needs of the document that it is part of. */
export interface Writing {
  readonly fromElsewhere: number
  readonly registerFlush: (flush: () => void) => () => void
}

export interface SettingsProps<K extends FieldKind> {
  readonly question: QuestionOf<K>
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (question: QuestionOf<K>) => void
}
