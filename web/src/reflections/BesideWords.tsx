// The evidence beside an entry's words: each with its caption, its description, and the ways to order it.
import Button from '@mui/material/Button'
import { IconArrowUp, IconPlus, IconX } from '@tabler/icons-react'
import { evidenceKinds } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { LONGEST_CAPTION } from '@valise/core/evidence'
import { definitionOf, isCaptioned, LONGEST_ALTERNATIVE, renderPiece } from '@valise/core/pages'
import type { CaptionedPiece, PageDocument, Piece, Shown } from '@valise/core/pages'
import { EVIDENCE_ROW } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { EvidenceChooser } from '../evidence/list/index.ts'
import { draftView } from '../evidence/base/index.ts'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import styles from './EntryEditor.module.css'

interface BesideWordsProps {
  readonly document: PageDocument
  readonly evidence: Shown['evidence']
  readonly onPut: (item: EvidenceRow) => void
  readonly onChange: (piece: Piece) => void
  readonly onRemove: (pieceId: string) => void
  readonly onUp: (pieceId: string) => void
}

export function BesideWords({ document, evidence, onPut, onChange, onRemove, onUp }: BesideWordsProps) {
  const { t } = useTranslation('reflections')
  const [isChoosing, setIsChoosing] = useState(false)
  const beside = document.rows.find(({ id }) => id === EVIDENCE_ROW)
  const pieces = (beside?.pieces ?? []).filter(isCaptioned)
  const view = draftView(document.lang, { evidence, entries: {} })
  const titleOf = ({ id }: Piece) => evidence[id]?.title || t('entry.thing')
  return (
    <section>
      <h2>{t('entry.beside')}</h2>
      {pieces.length === 0 ? (
        <StitchedBox>{t('entry.besideEmpty')}</StitchedBox>
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
      <Button startIcon={<IconPlus size={18} stroke={1.7} />} onClick={() => setIsChoosing(true)}>
        {t('entry.add')}
      </Button>
      {isChoosing ? (
        <EvidenceChooser kinds={evidenceKinds} onChoose={onPut} onClose={() => setIsChoosing(false)} />
      ) : null}
    </section>
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
