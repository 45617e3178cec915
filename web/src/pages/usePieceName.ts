// What a piece is called: its thing's title, or the beginning of its words, or its kind.
import { definitionOf, toPlainText } from '@valise/core/pages'
import type { Piece, Shown } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'

const BEGINNING = 40

export function usePieceName(shown: Shown): (piece: Piece) => string {
  const { t, i18n } = useTranslation('pages')
  return (piece) => {
    const kind = t(`kinds.${piece.kind}`)
    const definition = definitionOf(piece)
    const words = definition.texts(piece).map(toPlainText).join(' ').replace(/\s+/g, ' ')
    const name =
      definition.name(piece, shown, i18n.language === 'es' ? 'es' : 'en') || words.slice(0, BEGINNING)
    return name ? t('changes.named', { kind, name }) : kind
  }
}
