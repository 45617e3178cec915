// Whether readers can take the file.
import type { PieceOf } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import styles from '../../PieceBar.module.css'
import { usePageActs } from '../../usePageEditor.ts'

export function OfferFile({ piece }: { readonly piece: PieceOf<'file'> }) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  return (
    <label className={styles.check}>
      <input
        type="checkbox"
        checked={piece.isOffered}
        onChange={(event) => setPiece({ ...piece, isOffered: event.target.checked })}
      />
      {t('bar.offer')}
    </label>
  )
}
