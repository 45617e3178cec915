// The dark bar over the chosen piece: what can be done with it, and what it still owes its readers.
import { IconArrowsMove, IconColumns2, IconTrash } from '@tabler/icons-react'
import type { Piece } from '@valise/core/pages'
import { useState } from 'react'
import type { ReactNode, Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { useRefocus } from '../ui/useRefocus.ts'
import { uiOf } from './pieces/uiByKind.ts'
import { usePageActs } from './usePageEditor.ts'
import { spanOf, widthOf, widths } from './widths.ts'
import styles from './PieceBar.module.css'

interface PieceBarProps {
  readonly piece: Piece
  /** The half of the page in which the piece stands. */
  readonly side: 'left' | 'right'
  /** Whether it stands in the first row, above which there is no room to grow. */
  readonly isFirst: boolean
  /** Told where the text editor can put its buttons. */
  readonly onTools: (place: HTMLElement | null) => void
}

export function PieceBar({ piece, side, isFirst, onTools }: PieceBarProps) {
  const { t } = useTranslation('pages')
  const { setPiece, hold, remove } = usePageActs()
  const { panels, Tools, Editor } = uiOf(piece)
  const [open, setOpen] = useState<string | null>(null)
  // Whichever of them was opened has the focus again.
  const [last, setLast] = useState(panels[0]?.name)
  const opener = useRefocus<HTMLButtonElement>(open)
  const toggle = (name: string) => {
    setLast(name)
    setOpen((before) => (before === name ? null : name))
  }
  const opened = panels.find(({ name }) => name === open)
  return (
    <div
      className={styles.bar}
      data-side={side}
      data-grows={isFirst && opened ? 'down' : 'up'}
      role="toolbar"
      aria-label={t('bar.label')}
    >
      {/* An editor puts its own buttons here. */}
      {Editor ? <span ref={onTools} className={styles.text} /> : null}
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
      {panels.map(({ name, Label, needsCare }) => (
        <BarButton
          key={name}
          opener={last === name ? opener : null}
          isOpen={open === name}
          needsCare={needsCare?.(piece) ?? false}
          onClick={() => toggle(name)}
        >
          <Label />
        </BarButton>
      ))}
      {Tools ? <Tools piece={piece} /> : null}
      <BarButton onClick={() => hold({ kind: 'piece', pieceId: piece.id })}>
        <IconArrowsMove size={15} stroke={1.7} aria-hidden="true" />
        {t('bar.move')}
      </BarButton>
      <BarButton onClick={() => remove(piece.id)}>
        <IconTrash size={15} stroke={1.7} aria-hidden="true" />
        {t('bar.remove')}
      </BarButton>
      {opened ? <opened.Panel piece={piece} onClose={() => setOpen(null)} /> : null}
    </div>
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
