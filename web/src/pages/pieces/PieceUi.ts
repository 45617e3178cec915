// What a kind of piece brings to the page editor: its icon, how one is added, its tools, and where it is written.
import type { Icon } from '@tabler/icons-react'
import type { Piece } from '@valise/core/pages'
import type { ReactNode } from 'react'

/** A function alone, so that a component for any captioned piece does for one of them. */
type Component<Props> = (props: Props) => ReactNode

export interface PieceUi<P extends Piece> {
  readonly icon: Icon
  /** Null for a piece that comes onto pages in other ways only. */
  readonly add: AddsPiece<P> | null
  /** What opens under the bar of a chosen piece, each by its own button. */
  readonly panels: readonly BarPanel<P>[]
  /** What else stands in the bar. */
  readonly Tools: Component<{ readonly piece: P }> | null
  /** Where it is written in place; null for a piece that shows what is made elsewhere. */
  readonly Editor: Component<EditorProps<P>> | null
}

/** A piece stands on the page at once, or one chooses first what it shows. */
type AddsPiece<P extends Piece> =
  { readonly start: (id: string) => P } | { readonly Chooser: Component<ChooserProps> }

export interface ChooserProps {
  /** Called once something is on the page. */
  readonly onAdded: () => void
  readonly onClose: () => void
}

export interface BarPanel<P> {
  /** Unique within its kind. */
  readonly name: string
  readonly Label: Component<object>
  /** Whether readers are owed something that this panel asks for. */
  readonly needsCare?: (piece: P) => boolean
  readonly Panel: Component<PanelProps<P>>
}

export interface PanelProps<P> {
  readonly piece: P
  readonly onClose: () => void
}

export interface EditorProps<P> {
  readonly piece: P
  /** As readers count, from 1. */
  readonly row: number
  /** How often the draft was changed from elsewhere. */
  readonly fromElsewhere: number
  /** Where the editor can put its buttons, in the bar. */
  readonly tools: HTMLElement | null
}
