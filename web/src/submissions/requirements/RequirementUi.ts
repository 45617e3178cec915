// What a kind of requirement brings to screens: its fields in the form of an assignment, and how a student meets it.
import type { CheckedOf, RequirementKind, RequirementOf, Weight } from '@valise/core/assignments'
import type { Language } from '@valise/core/people'
import type { HandIn } from '@valise/core/submissions'
import type { ReactNode } from 'react'

export interface RequirementUi<K extends RequirementKind, Draft extends DraftRequirement = DraftRequirement> {
  /** The requirement as the form holds it. */
  toDraft(requirement: RequirementOf<K>): Draft
  fromDraft(draft: Draft): RequirementOf<K>
  /** What it asks for, as fields. */
  Fields(props: FieldsProps<Draft>): ReactNode
  /** What a student does about it, without leaving the screen. */
  Fix(props: FixProps<K>): ReactNode
}

/** What every requirement is while its assignment is being written. */
export interface DraftRequirement {
  readonly id: string
  readonly kind: RequirementKind
  readonly weight: Weight
}

export interface FieldsProps<Draft> {
  readonly requirement: Draft
  /** The one that texts are written in. */
  readonly language: Language
  onChange(changed: Draft): void
}

export interface FixProps<K extends RequirementKind> {
  readonly checked: CheckedOf<K>
  readonly handIn: HandIn
}
