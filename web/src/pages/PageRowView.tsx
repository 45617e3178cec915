// One row with its grip and number in the margin, and the places in it and under it.
import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { IconGripVertical } from '@tabler/icons-react'
import { COLUMNS } from '@valise/core/pages'
import type { PageDocument, Row, Shown } from '@valise/core/pages'
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { PieceView } from './PieceView.tsx'
import { PlaceSlot } from './PlaceSlot.tsx'
import styles from './PageRowView.module.css'

interface PageRowViewProps {
  readonly row: Row
  /** As readers count, from 1. */
  readonly number: number
  /** The chosen piece, where it stands in this row. */
  readonly chosen: string | null
  readonly moved: string | null
  /** Whether one holds something, so that places are shown. */
  readonly isPutting: boolean
  readonly lang: PageDocument['lang']
  readonly shown: Shown
  readonly fromElsewhere: number
}

/** Rendered again only when something about this row has changed. */
export const PageRowView = memo(function PageRowView(props: PageRowViewProps) {
  const { row, number, chosen, moved, isPutting, lang, shown, fromElsewhere } = props
  const { t } = useTranslation('pages')
  const sortable = useSortable({ id: row.id })
  const isChosen = chosen !== null
  const style = {
    transform: CSS.Translate.toString(sortable.transform),
    transition: sortable.transition,
  }
  return (
    <>
      <div
        ref={sortable.setNodeRef}
        className={styles.row}
        style={style}
        data-row={row.id}
        data-first={number === 1}
        data-chosen={isChosen}
        data-lifted={sortable.isDragging}
      >
        <button
          ref={sortable.setActivatorNodeRef}
          type="button"
          className={styles.grip}
          {...sortable.attributes}
          {...sortable.listeners}
          aria-label={t('rows.grip', { row: number })}
          aria-roledescription={t('rows.role')}
        >
          <IconGripVertical size={15} stroke={1.7} aria-hidden="true" />
          {number}
        </button>
        <div className="row">
          {row.pieces.map((piece, n) => (
            <PieceView
              key={piece.id}
              piece={piece}
              row={number}
              side={sideOf(row, n)}
              isChosen={chosen === piece.id}
              isMoved={moved === piece.id}
              isPutting={isPutting}
              lang={lang}
              shown={shown}
              fromElsewhere={fromElsewhere}
            />
          ))}
          {isPutting ? (
            <PlaceSlot place={{ kind: 'in-row', rowId: row.id, after: row.pieces.at(-1)?.id ?? null }} />
          ) : null}
        </div>
      </div>
      {isPutting ? <PlaceSlot place={{ kind: 'new-row', after: row.id }} /> : null}
    </>
  )
})

/** The half of the page in which the middle of a piece stands. */
function sideOf({ pieces }: Row, index: number): 'left' | 'right' {
  const before = pieces.slice(0, index).reduce((sum, { span }) => sum + span, 0) % COLUMNS
  const middle = before + (pieces[index]?.span ?? 0) / 2
  return middle > COLUMNS / 2 ? 'right' : 'left'
}
