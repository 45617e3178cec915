// The caption of a piece that shows an item.
import { IconTextCaption } from '@tabler/icons-react'
import { LONGEST_CAPTION } from '@valise/core/evidence'
import type { CaptionedPiece } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { usePageActs } from '../usePageEditor.ts'
import type { BarPanel, PanelProps } from './PieceUi.ts'
import { WordsPanel } from './WordsPanel.tsx'

export const captionPanel: BarPanel<CaptionedPiece> = { name: 'caption', Label, Panel: Caption }

function Label() {
  const { t } = useTranslation('pages')
  return (
    <>
      <IconTextCaption size={15} stroke={1.7} aria-hidden="true" />
      {t('bar.caption')}
    </>
  )
}

function Caption({ piece, onClose }: PanelProps<CaptionedPiece>) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  return (
    <WordsPanel
      label={t('bar.captionOf')}
      value={piece.caption}
      most={LONGEST_CAPTION}
      onChange={(caption) => setPiece({ ...piece, caption })}
      onClose={onClose}
    />
  )
}
