// The words that go with a picture or a file: its caption, and for who cannot see it what it shows.
import { LONGEST_CAPTION } from '@valise/core/evidence'
import { lacksAlternative, LONGEST_ALTERNATIVE } from '@valise/core/pages'
import type { FilePiece, PicturePiece } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { usePage } from './usePageEditor.ts'
import styles from './PieceBar.module.css'

interface PieceWordsProps {
  readonly piece: PicturePiece | FilePiece
  readonly what: 'caption' | 'describe'
  readonly onClose: () => void
}

export function PieceWords({ piece, what, onClose }: PieceWordsProps) {
  const { t } = useTranslation('pages')
  const { setPiece, shown } = usePage()
  const isCaption = what === 'caption' || piece.kind !== 'picture'
  const value = isCaption ? piece.caption : piece.alternativeText
  const save = (text: string) => {
    if (isCaption) setPiece({ ...piece, caption: text })
    else if (piece.kind === 'picture') setPiece({ ...piece, alternativeText: text })
  }
  const title = shown.evidence[piece.id]?.title ?? ''
  const mayBeginWithTitle = !isCaption && lacksAlternative(piece) && title !== ''
  return (
    <div className={styles.words}>
      <label>
        {t(isCaption ? 'bar.captionOf' : 'bar.describeOf')}
        <textarea
          autoFocus
          rows={2}
          maxLength={isCaption ? LONGEST_CAPTION : LONGEST_ALTERNATIVE}
          value={value}
          disabled={!isCaption && piece.kind === 'picture' && piece.isDecoration}
          onChange={(event) => save(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            // It closes these words, and not the piece as well.
            event.stopPropagation()
            onClose()
          }}
        />
      </label>
      {mayBeginWithTitle ? (
        <button type="button" className={styles.button} onClick={() => save(title)}>
          {t('bar.beginWithTitle', { title })}
        </button>
      ) : null}
      {!isCaption && piece.kind === 'picture' ? (
        <label className={styles.check}>
          <input
            type="checkbox"
            checked={piece.isDecoration}
            onChange={(event) => setPiece({ ...piece, isDecoration: event.target.checked })}
          />
          {t('bar.decoration')}
        </label>
      ) : null}
    </div>
  )
}
