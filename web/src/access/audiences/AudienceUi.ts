// What a kind of audience brings to the dialog in which something is shared.
import type { AudienceKind, AudienceOf, Audiences, Pass } from '@valise/core/access'
import type { ReactNode } from 'react'

export interface AudienceUi<K extends AudienceKind> {
  /** One choice for each audience of this kind that there is. */
  Choices(props: ChoicesProps<K>): ReactNode
  /** Whether the choice says all that it has to. */
  isComplete(audience: AudienceOf<K>): boolean
  /** For how many days it is shared, unless its giver says otherwise; null without end. */
  readonly usualDays: number | null
  /** What is shown once it is shared; null where nothing has to be. */
  readonly Given: ((props: GivenProps) => ReactNode) | null
}

export interface ChoicesProps<K extends AudienceKind> {
  readonly audiences: Audiences
  /** What is chosen, where it is of this kind. */
  readonly value: AudienceOf<K> | null
  /** What stands at a field that was left empty; null before anything was sent. */
  readonly missing: string | null
  onChange(audience: AudienceOf<K>): void
}

export interface GivenProps {
  readonly pass: Pass
  readonly onClose: () => void
}
