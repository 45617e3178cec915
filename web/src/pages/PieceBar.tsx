// The dark bar over the chosen piece: what can be done with it, and what it still owes its readers.
import { IconArrowsMove, IconColumns2, IconLanguage, IconTextCaption, IconTrash } from '@tabler/icons-react'
import { lacksAlternative } from '@valise/core/pages'
import type { Piece, TextPiece } from '@valise/core/pages'
import { useState } from 'react'
import type { ReactNode, Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { useLanguageChoices } from '../drafts/LanguageField.tsx'
import { OwnIcon } from '../ui/OwnIcon.tsx'
import { useRefocus } from '../ui/useRefocus.ts'
import { PieceWords } from './PieceWords.tsx'
import { usePageActs } from './usePageEditor.ts'
import { spanOf, widthOf, widths } from './widths.ts'
import styles from './PieceBar.module.css'

interface PieceBarProps {
  readonly piece: Piece
  /** The half of the page in which the piece stands. */
  readonly side: 'left' | 'right'
  /** Told where the text editor can put its buttons. */
  readonly onTools: (place: HTMLElement | null) => void
}

export function PieceBar({ piece, side, onTools }: PieceBarProps) {
  const { t } = useTranslation('pages')
  const { setPiece, hold, remove } = usePageActs()
  const [open, setOpen] = useState<'caption' | 'describe' | null>(null)
  // Whichever of the two was opened has the focus again.
  const [last, setLast] = useState<'caption' | 'describe'>('caption')
  const opener = useRefocus<HTMLButtonElement>(open)
  const toggle = (what: 'caption' | 'describe') => {
    setLast(what)
    setOpen((before) => (before === what ? null : what))
  }
  const hasCaption = piece.kind === 'picture' || piece.kind === 'file'
  return (
    <div className={styles.bar} data-side={side} role="toolbar" aria-label={t('bar.label')}>
      {/* The text editor puts its own buttons here. */}
      {piece.kind === 'text' ? <span ref={onTools} className={styles.text} /> : null}
      <label className={styles.span}>
        <IconColumns2 size={15} stroke={1.7} aria-hidden="true" />
        <span className="only-heard">{t('bar.width')}</span>
        <select
          value={widthOf(piece.span)}
          onChange={(event) => {
            const width = widths.find((one) => one === event.target.value)
            if (width !== undefined) setPiece({ ...piece, span: spanOf[width] })
          }}
        >
          {widths.map((width) => (
            <option key={width} value={width}>
              {t(`bar.widths.${width}`)}
            </option>
          ))}
        </select>
      </label>
      {piece.kind === 'text' ? <TextLanguageChoice piece={piece} /> : null}
      {hasCaption ? (
        <BarButton
          opener={last === 'caption' ? opener : null}
          isOpen={open === 'caption'}
          onClick={() => toggle('caption')}
        >
          <IconTextCaption size={15} stroke={1.7} aria-hidden="true" />
          {t('bar.caption')}
        </BarButton>
      ) : null}
      {piece.kind === 'picture' ? (
        <BarButton
          opener={last === 'describe' ? opener : null}
          isOpen={open === 'describe'}
          needsCare={lacksAlternative(piece)}
          onClick={() => toggle('describe')}
        >
          <OwnIcon name="noalt" size={15} />
          {t('bar.describe')}
        </BarButton>
      ) : null}
      {piece.kind === 'file' ? (
        <label className={styles.check}>
          <input
            type="checkbox"
            checked={piece.isOffered}
            onChange={(event) => setPiece({ ...piece, isOffered: event.target.checked })}
          />
          {t('bar.offer')}
        </label>
      ) : null}
      <BarButton onClick={() => hold({ kind: 'piece', pieceId: piece.id })}>
        <IconArrowsMove size={15} stroke={1.7} aria-hidden="true" />
        {t('bar.move')}
      </BarButton>
      <BarButton onClick={() => remove(piece.id)}>
        <IconTrash size={15} stroke={1.7} aria-hidden="true" />
        {t('bar.remove')}
      </BarButton>
      {open !== null && (piece.kind === 'picture' || piece.kind === 'file') ? (
        <PieceWords piece={piece} what={open} onClose={() => setOpen(null)} />
      ) : null}
    </div>
  )
}

/** A text in another language than its page. */
function TextLanguageChoice({ piece }: { readonly piece: TextPiece }) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  const choices = useLanguageChoices()
  return (
    <label className={styles.span}>
      <IconLanguage size={15} stroke={1.7} aria-hidden="true" />
      <span className="only-heard">{t('bar.language')}</span>
      <select
        value={piece.lang ?? ''}
        onChange={(event) =>
          setPiece({ ...piece, lang: choices.find(([lang]) => lang === event.target.value)?.[0] ?? null })
        }
      >
        <option value="">{t('bar.languageOfPage')}</option>
        {choices.map(([lang, name]) => (
          <option key={lang} value={lang}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}

interface BarButtonProps {
  readonly opener?: Ref<HTMLButtonElement>
  readonly isOpen?: boolean
  readonly needsCare?: boolean
  readonly onClick: () => void
  readonly children: ReactNode
}

function BarButton({ opener = null, isOpen, needsCare = false, onClick, children }: BarButtonProps) {
  return (
    <button
      ref={opener}
      type="button"
      className={styles.button}
      data-care={needsCare}
      {...(isOpen !== undefined && { 'aria-expanded': isOpen })}
      onClick={onClick}
    >
      {children}
    </button>
  )
}
