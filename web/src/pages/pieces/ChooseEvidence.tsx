// Choosing the item that a piece of some kind is to show.
import { definitionOf } from '@valise/core/pages'
import type { PieceKind } from '@valise/core/pages'
import { EvidenceChooser } from '../../evidence/list/index.ts'
import { usePageActs } from '../usePageEditor.ts'
import type { ChooserProps } from './PieceUi.ts'

export function ChooseEvidence({ kind, onAdded, onClose }: ChooserProps & { readonly kind: PieceKind }) {
  const { addEvidence } = usePageActs()
  return (
    <EvidenceChooser
      kinds={definitionOf({ kind }).evidence?.accepts ?? []}
      onChoose={(item) => {
        addEvidence([item], undefined, kind)
        onAdded()
      }}
      onClose={onClose}
    />
  )
}
