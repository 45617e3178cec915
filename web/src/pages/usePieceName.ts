// What a piece is called: its thing's title, or the beginning of its words, or its kind.
import { toPlainText } from '@valise/core/pages'
import type { Piece } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { usePage } from './usePageEditor.ts'

const BEGINNING = 40

export function usePieceName(): (piece: Piece) => string {
  const { t } = useTranslation('pages')
  const { shown } = usePage()
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
