// What a piece is called: its thing's title, or the beginning of its words, or its kind.
import { toPlainText } from '@valise/core/pages'
import type { Piece, Shown } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'

const BEGINNING = 40

export function usePieceName(shown: Shown): (piece: Piece) => string {
  const { t } = useTranslation('pages')
  return (piece) => {
    const kind = t(`kinds.${piece.kind}`)
    if (piece.kind === 'text') {
      const words = toPlainText(piece.text).replace(/\s+/g, ' ')
      return words ? t('changes.named', { kind, name: words.slice(0, BEGINNING) }) : kind
    }
    const name =
      piece.kind === 'entry' ? shown.entries[piece.entryId]?.title : shown.evidence[piece.id]?.title
    return name ? t('changes.named', { kind, name }) : kind
  }
}
