// Evidence in one row of an entry: each with its caption, its description, and the ways to order it.
import Button from '@mui/material/Button'
import { IconArrowUp, IconPlus, IconX } from '@tabler/icons-react'
import { evidenceKinds } from '@valise/core/evidence'
import type { EvidenceKind, EvidenceRow } from '@valise/core/evidence'
import { LONGEST_CAPTION } from '@valise/core/evidence'
import { definitionOf, isCaptioned, LONGEST_ALTERNATIVE, renderPiece } from '@valise/core/pages'
import type { CaptionedPiece, PageDocument, Piece, Shown } from '@valise/core/pages'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { EvidenceChooser } from '../evidence/list/index.ts'
import { draftView } from '../evidence/base/index.ts'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import styles from './EntryEditor.module.css'

interface BesideWordsProps {
  readonly pieces: readonly Piece[]
  readonly lang: PageDocument['lang']
  readonly evidence: Shown['evidence']
  /** What stands there while nothing is there. */
  readonly empty: string
  /** What may be put there; none for anything. */
  readonly accepts?: readonly EvidenceKind[]
  /** Whether there is room for more. */
  readonly hasRoom?: boolean
  readonly onPut: (item: EvidenceRow) => void
  readonly onChange: (piece: Piece) => void
  readonly onRemove: (pieceId: string) => void
  readonly onUp: (pieceId: string) => void
}

export function BesideWords({
  pieces: all,
  lang,
  evidence,
  empty,
  accepts = [],
  hasRoom = true,
  onPut,
  onChange,
  onRemove,
  onUp,
}: BesideWordsProps) {
  const { t } = useTranslation('reflections')
  const [isChoosing, setIsChoosing] = useState(false)
  const pieces = all.filter(isCaptioned)
  const view = draftView(lang, { evidence, entries: {} })
  const titleOf = ({ id }: Piece) => evidence[id]?.title || t('entry.thing')
  return (
    <div className={styles.put}>
      {pieces.length === 0 ? (
        <StitchedBox>{empty}</StitchedBox>
      ) : (
        <ul className={styles.things}>
          {pieces.map((piece, n) => (
            <li key={piece.id}>
              {/* The core's renderer builds it from known parts and escapes all text. */}
              <div
                className="paper"
                dangerouslySetInnerHTML={{ __html: renderPiece({ ...piece, caption: '' }, view) }}
              />
              <Words piece={piece} shown={view.shown} title={titleOf(piece)} onChange={onChange} />
              <div className={styles.acts}>
                {n > 0 ? (
                  <button
                    type="button"
                    aria-label={t('entry.upOf', { title: titleOf(piece) })}
                    onClick={() => onUp(piece.id)}
                  >
                    <IconArrowUp size={16} stroke={1.8} aria-hidden="true" />
                    {t('entry.up')}
                  </button>
                ) : null}
                <button
                  type="button"
                  aria-label={t('entry.removeOf', { title: titleOf(piece) })}
                  onClick={() => onRemove(piece.id)}
                >
                  <IconX size={16} stroke={1.8} aria-hidden="true" />
                  {t('entry.remove')}
                </button>
              </div>
            </li>
          ))}
        </ul>
      )}
      {hasRoom ? (
        <Button startIcon={<IconPlus size={18} stroke={1.7} />} onClick={() => setIsChoosing(true)}>
          {t('entry.add')}
        </Button>
      ) : null}
      {isChoosing ? (
        <EvidenceChooser
          kinds={accepts.length > 0 ? accepts : evidenceKinds}
          onChoose={onPut}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </div>
  )
}

interface WordsProps {
  readonly piece: CaptionedPiece
  readonly shown: Shown
  readonly title: string
  readonly onChange: (piece: Piece) => void
}

function Words({ piece, shown, title, onChange }: WordsProps) {
  const { t } = useTranslation('reflections')
  return (
    <>
      <input
        className={styles.caption}
        maxLength={LONGEST_CAPTION}
        aria-label={t('entry.captionOf', { title })}
        placeholder={t('entry.caption')}
        value={piece.caption}
        onChange={(event) => onChange({ ...piece, caption: event.target.value })}
      />
      {definitionOf<Piece>(piece)
        .descriptions(piece, shown)
        .map(({ key, text }) => (
          <input
            key={key}
            className={styles.caption}
            maxLength={LONGEST_ALTERNATIVE}
            aria-label={t('entry.describeOf', { title })}
            placeholder={t('entry.describe')}
            value={text}
            onChange={(event) =>
              onChange(definitionOf<Piece>(piece).withDescription(piece, key, event.target.value))
            }
          />
        ))}
    </>
  )
}
