// An item as a picture, in the page editor.
import { IconPhoto } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import { captionPanel } from '../captionPanel.tsx'
import { ChooseEvidence } from '../ChooseEvidence.tsx'
import type { PieceUi } from '../PieceUi.ts'
import { describePanel } from './describePanel.tsx'

export const pictureUi: PieceUi<PieceOf<'picture'>> = {
  icon: IconPhoto,
  add: { Chooser: (props) => <ChooseEvidence kind="picture" {...props} /> },
  panels: [captionPanel, describePanel],
  Tools: null,
  Editor: null,
}
