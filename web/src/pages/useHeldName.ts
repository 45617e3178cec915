// What one holds, by name.
import { findPiece } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { useEvidenceWords } from '../evidence/base/index.ts'
import { usePage } from './usePageEditor.ts'
import { usePieceName } from './usePieceName.ts'

export function useHeldName(): string {
  const { t } = useTranslation('pages')
  const words = useEvidenceWords()
  const { held, draft, shown } = usePage()
  const nameOf = usePieceName(shown)
  if (held === null) return ''
  if (held.kind === 'piece') {
    const found = findPiece(draft.document, held.pieceId)
    return found ? nameOf(found.piece) : ''
  }
  const [first] = held.items
  if (held.items.length > 1) return t('put.several', { count: held.items.length })
  return first ? words.title(first) : ''
}
