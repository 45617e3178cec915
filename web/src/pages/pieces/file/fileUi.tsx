// An item as a file, in the page editor.
import { IconFile } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import { captionPanel } from '../captionPanel.tsx'
import { ChooseEvidence } from '../ChooseEvidence.tsx'
import type { PieceUi } from '../PieceUi.ts'
import { OfferFile } from './OfferFile.tsx'

export const fileUi: PieceUi<PieceOf<'file'>> = {
  icon: IconFile,
  add: { Chooser: (props) => <ChooseEvidence kind="file" {...props} /> },
  panels: [captionPanel],
  Tools: OfferFile,
  Editor: null,
}
