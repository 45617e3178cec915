// One piece on the paper: the core's HTML, or the editor where it is being written; the chosen one has its bar.
import { renderPiece } from '@valise/core/pages'
import type { PageDocument, Piece, Shown } from '@valise/core/pages'
import { memo, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { draftView } from '../evidence/base/index.ts'
import { useRefocus } from '../ui/useRefocus.ts'
import { PieceBar } from './PieceBar.tsx'
import { uiOf } from './pieces/uiByKind.ts'
import { SpanHandle } from './SpanHandle.tsx'
import { usePageActs } from './usePageEditor.ts'
import { usePieceName } from './usePieceName.ts'
import styles from './PieceView.module.css'

interface PieceViewProps {
  readonly piece: Piece
  /** As readers count, from 1. */
  readonly row: number
  readonly side: 'left' | 'right'
  readonly isChosen: boolean
  readonly isMoved: boolean
  /** Whether one holds something: then nothing else can be done with the piece. */
  readonly isPutting: boolean
  readonly lang: PageDocument['lang']
  readonly shown: Shown
  readonly fromElsewhere: number
}

/** Rendered again only when something about this piece has changed: a page may have hundreds. */
export const PieceView = memo(function PieceView(props: PieceViewProps) {
  const { piece, row, side, isChosen, isMoved, isPutting, lang, shown, fromElsewhere } = props
  const { t } = useTranslation('pages')
  const { choose } = usePageActs()
  const nameOf = usePieceName(shown)
  const frame = useRef<HTMLDivElement>(null)
  const [tools, setTools] = useState<HTMLElement | null>(null)
  const chooser = useRefocus<HTMLButtonElement>(isChosen)
  const { Editor } = uiOf(piece)
  const isWritten = isChosen && Editor !== null

  // One goes on with what one has chosen; what is written in place takes the focus into itself.
  useEffect(() => {
    if (isChosen) frame.current?.scrollIntoView({ block: 'nearest' })
    if (isChosen && !isWritten) frame.current?.querySelector<HTMLElement>('button')?.focus()
  }, [isChosen, isWritten])

  return (
    <div
      ref={frame}
      className={`piece ${piece.kind}-piece span-${piece.span} ${styles.frame}`}
      data-piece={piece.id}
      data-chosen={isChosen}
      data-moved={isMoved}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !isChosen) return
        choose(null)
      }}
    >
      {isChosen && !isPutting ? (
        <PieceBar piece={piece} side={side} isFirst={row === 1} onTools={setTools} />
      ) : null}
      {isWritten ? (
        <Suspense fallback={<Html piece={piece} lang={lang} shown={shown} />}>
          <Editor piece={piece} row={row} fromElsewhere={fromElsewhere} tools={tools} />
        </Suspense>
      ) : (
        <Html piece={piece} lang={lang} shown={shown} />
      )}
      {isWritten ? null : (
        <button
          ref={chooser}
          type="button"
          data-choose=""
          className={styles.choose}
          aria-pressed={isChosen}
          aria-label={t(Editor ? 'write' : 'choose', { name: nameOf(piece), row })}
          onClick={() => choose(piece.id)}
        />
      )}
      {isChosen ? <SpanHandle piece={piece} frame={frame} /> : null}
    </div>
  )
})

type HtmlProps = Pick<PieceViewProps, 'piece' | 'lang' | 'shown'>

/** As readers will see it. */
function Html({ piece, lang, shown }: HtmlProps) {
  const { t } = useTranslation('pages')
  const html = useMemo(() => renderPiece(piece, draftView(lang, shown)), [piece, lang, shown])
  const isEmpty = uiOf(piece).Editor !== null && /^(<[^>]*>)*$/.test(html)
  if (isEmpty) return <p className={styles.hint}>{t('textHint')}</p>
  // The core's renderer builds it from known parts and escapes all text.
  return <div className={styles.html} dangerouslySetInnerHTML={{ __html: html }} />
}
