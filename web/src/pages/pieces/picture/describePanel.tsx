// What a picture shows, for those who cannot see it.
import { lacksAlternative, LONGEST_ALTERNATIVE } from '@valise/core/pages'
import type { PieceOf } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { OwnIcon } from '../../../ui/OwnIcon.tsx'
import styles from '../../PieceBar.module.css'
import { usePage } from '../../usePageEditor.ts'
import type { BarPanel, PanelProps } from '../PieceUi.ts'
import { WordsPanel } from '../WordsPanel.tsx'

type PicturePiece = PieceOf<'picture'>

export const describePanel: BarPanel<PicturePiece> = {
  name: 'describe',
  Label,
  needsCare: (piece) => lacksAlternative(piece),
  Panel: Describe,
}

function Label() {
  const { t } = useTranslation('pages')
  return (
    <>
      <OwnIcon name="noalt" size={15} />
      {t('bar.describe')}
    </>
  )
}

function Describe({ piece, onClose }: PanelProps<PicturePiece>) {
  const { t } = useTranslation('pages')
  const { setPiece, shown } = usePage()
  const title = shown.evidence[piece.id]?.title ?? ''
  const save = (alternativeText: string) => setPiece({ ...piece, alternativeText })
  return (
    <WordsPanel
      label={t('bar.describeOf')}
      value={piece.alternativeText}
      most={LONGEST_ALTERNATIVE}
      isDisabled={piece.isDecoration}
      onChange={save}
      onClose={onClose}
    >
      {lacksAlternative(piece) && title !== '' ? (
        <button type="button" className={styles.button} onClick={() => save(title)}>
          {t('bar.beginWithTitle', { title })}
        </button>
      ) : null}
      <label className={styles.check}>
        <input
          type="checkbox"
          checked={piece.isDecoration}
          onChange={(event) => setPiece({ ...piece, isDecoration: event.target.checked })}
        />
        {t('bar.decoration')}
      </label>
    </WordsPanel>
  )
}
