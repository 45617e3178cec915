// The handle at a piece's edge: drag it, or use the arrow keys, and the piece takes more or fewer columns.
import { COLUMNS, NARROWEST } from '@valise/core/pages'
import type { Piece } from '@valise/core/pages'
import type { KeyboardEvent, PointerEvent, RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { usePageActs } from './usePageEditor.ts'
import { widthOf } from './widths.ts'
import styles from './PieceView.module.css'

interface SpanHandleProps {
  readonly piece: Piece
  readonly frame: RefObject<HTMLElement | null>
}

export function SpanHandle({ piece, frame }: SpanHandleProps) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  const setSpan = (span: number) => {
    const within = Math.min(COLUMNS, Math.max(NARROWEST, Math.round(span)))
    if (within !== piece.span) setPiece({ ...piece, span: within })
  }
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const row = frame.current?.parentElement
    const left = frame.current?.getBoundingClientRect().left
    if (row && left !== undefined) setSpan(((event.clientX - left) / row.clientWidth) * COLUMNS)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    setSpan(piece.span + by)
  }
  return (
    <span
      className={styles.handle}
      role="slider"
      tabIndex={0}
      aria-label={t('bar.width')}
      aria-valuemin={NARROWEST}
      aria-valuemax={COLUMNS}
      aria-valuenow={piece.span}
      aria-valuetext={t('bar.widthOf', {
        name: t(`bar.widths.${widthOf(piece.span)}`),
        percent: Math.round((piece.span / COLUMNS) * 100),
      })}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointerMove}
    />
  )
}
